# frozen_string_literal: true

module Basalt
  module Cloud
    # Facts that somebody or an inventory states of a resource and that no rule reads: names with their values, kept as one text, a line for
    # each, in the order of their names.
    module Details
      LONGEST = 200
      MOST = 200
      # Between a name and its value.
      MARK = ": "
      private_constant :MARK

      module_function

      # @param text [String]
      # @return [String] as the model keeps it
      # @raise [Model::BadFact] naming the line that is no fact
      def normal(text) = write(text.each_line.map(&:strip).reject(&:empty?).to_h { |line| pair(line) })

      # @param text [String, nil]
      # @return [Hash{String => String}]
      def read(text) = text.to_s.each_line(chomp: true).to_h { |line| line.split(MARK, 2) }

      # @param facts [Hash{String => Object}]
      # @return [String, nil]
      def write(facts)
        raise Model::BadFact, "a resource has #{facts.length} facts, and #{MOST} are kept of one" if facts.length > MOST

        clean = facts.to_h { |name, value| [key(name), Model::Names.clean(value.to_s, limit: LONGEST)] }.reject { |_, value| value.empty? }
        clean.empty? ? nil : clean.sort.map { |name, value| "#{name}#{MARK}#{value}" }.join("\n")
      end

      # @return [String] a name, without what stands behind one
      def key(name) = Model::Names.clean(name.to_s.delete(":"), limit: LONGEST)

      def pair(line)
        name, value = line.split(":", 2).map(&:strip)
        return [name, value] if value && !name.empty? && !value.empty?

        raise Model::BadFact, "“#{Model::Names.short(line)}” is no fact: a name, a colon and a value stand on each line"
      end
    end
  end
end
