# frozen_string_literal: true

require "json"

module Basalt
  module Cloud
    # Facts that somebody or an inventory states of a resource and that no rule reads: names with their values, kept as a JSON object in
    # the order of its names.
    module Details
      # Letters of a value, and of a name.
      LONGEST = 2000
      NAME = 200
      MOST = 200
      # What is more than blanks.
      SAYS = /[^\s\0]/
      private_constant :SAYS

      module_function

      # @param text [String] a JSON object, or names and values with a colon between them, separated by semicolons
      # @return [String] as the model keeps it
      # @raise [Model::BadFact] naming the part that is no fact
      def normal(text)
        write(text.start_with?("{") ? parsed(text) : text.split(";").map(&:strip).reject(&:empty?).to_h { |part| pair(part) }).to_s
      end

      # @param text [String, nil]
      # @return [Hash{String => String}]
      def read(text) = text ? JSON.parse(text) : {}

      # @param facts [Hash{String => Object}]
      # @return [String, nil]
      def write(facts)
        raise Model::BadFact, "a resource has #{facts.length} facts, and #{MOST} are kept of one" if facts.length > MOST

        said = facts.select { |name, value| name.to_s.match?(SAYS) && value.to_s.match?(SAYS) }
        clean = said.to_h { |name, value| [key(name), Model::Names.clean(value.to_s, limit: LONGEST)] }
        clean.empty? ? nil : JSON.generate(clean.sort.to_h)
      end

      # @return [String]
      def key(name) = Model::Names.clean(name.to_s, limit: NAME)

      def parsed(text)
        facts = JSON.parse(text, max_nesting: 2)
        return facts if facts.is_a?(Hash)

        raise JSON::ParserError
      rescue JSON::ParserError
        raise Model::BadFact, "“#{Model::Names.short(text)}” is no list of facts"
      end

      def pair(part)
        name, value = part.split(":", 2).map(&:strip)
        return [name, value] if value && !name.empty? && !value.empty?

        raise Model::BadFact,
              "“#{Model::Names.short(part)}” is no fact: a name, a colon and a value stand there, and a semicolon between two"
      end
    end
  end
end
