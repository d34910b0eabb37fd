# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # The words of a message as a call of an operation: +acknowledge(alarm, by)+ or +acknowledge+.
      Calling =
        Value.of(:name, :arguments) do
          self::CALL = /\A\s*([^()]+?)\s*(?:\((.*)\))?\s*\z/m
          self::PAIRS = { "(" => ")", "[" => "]", "{" => "}" }.freeze

          # @param text [String, nil]
          # @return [Calling, nil] +arguments+ are nil where none are told
          def self.of(text)
            name, list = text.to_s.match(self::CALL)&.captures
            name && new(name:, arguments: list && split(list))
          end

          # @return [Array<String>] at the commas that stand in no brackets and no quotes
          def self.split(list)
            depth = 0
            quoted = nil
            parts = list.each_char.with_object([+""]) do |char, found|
              if quoted then quoted = nil if char == quoted
              elsif %w[" '].include?(char) then quoted = char
              elsif self::PAIRS.key?(char) then depth += 1
              elsif self::PAIRS.value?(char) then depth -= 1
              end
              char == "," && depth.zero? && quoted.nil? ? found << +"" : found.last << char
            end
            parts = parts.map(&:strip)
            parts == [""] ? [] : parts
          end

          # @param operation [Model::Element]
          # @return [Boolean] whether as many are given as it takes
          def fits?(operation)
            return true if arguments.nil?

            taken = Classes::Facts.parameters(operation).reject { |one| one.direction == "out" || one.name.start_with?("&") }
            several = taken.any? { |one| one.name.start_with?("*") || one.multiplicity }
            needed = taken.count { |one| one.default.nil? && one.multiplicity.nil? && !one.name.start_with?("*") }
            arguments.length >= needed && (several || arguments.length <= taken.length)
          end

          # @return [String] as an operation that takes what is given
          def operation
            names = arguments.to_a
            plain = names.uniq.length == names.length && names.all? { |one| one.match?(/\A[\p{L}_][\p{L}\p{N}_]*\z/) }
            names = names.each_index.map { |index| "argument#{index + 1}" } unless plain
            "+#{Features::Notation.spelled(name)}(#{names.join(", ")})"
          end
        end
    end
  end
end
