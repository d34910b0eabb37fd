# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # What came of a script that was brought in.
        class SchemaPage
          # Statements of one sort that are told, of how many there are.
          Part = Basalt::Value.of(:statements, :count)
          MOST = 200

          # @param told [Array<Basalt::Data::Physical::Reading::Told>]
          # @param left_out [Array<String>] in words
          def initialize(set, sheet, told, left_out)
            @things = set.things_on(sheet.id)
            @told = told
            @left_out = left_out
          end

          attr_reader :left_out

          # @return [Array<String>] what was taken, counted by what it is
          def taken
            { "table" => 0 }.merge(@things.map(&:noun).tally).map { |noun, count| Basalt::English.count(count, noun) }
          end

          # @return [Part] what the model keeps as SQL
          def kept = part(@told.select(&:kept))

          # @return [Part] what is not taken, or not as a whole
          def missing = part(@told.reject(&:kept))

          private

          def part(statements) = Part.new(statements: statements.first(MOST), count: statements.length)
        end
      end
    end
  end
end
