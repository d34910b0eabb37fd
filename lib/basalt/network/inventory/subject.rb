# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # What the rows of an inventory are about. +words+ are the fields a row may have, each with the headings that tell it, without
      # capitals and blanks; +needs+ those that must be there; +record+ takes a row, +notation+ is that of a sheet made for it.
      Subject =
        Value.of(:name, :words, :needs, :record, :notation) do
          def fields = words.keys

          # @param headings [Array<String>]
          # @return [Hash{String => Integer}] field to column; a field that no heading suggests is left out
          def guess(headings)
            plain = headings.map { |heading| heading.downcase.unicode_normalize(:nfd).gsub(/[^a-z0-9]/, "") }
            taken = []
            exact = fields.to_h { |field| [field, words[field].lazy.filter_map { |word| plain.index(word) }.first] }
            fields.each_with_object({}) do |field, found|
              column = exact[field] || like(field, plain, taken + exact.values.compact)
              next if column.nil? || taken.include?(column)

              found[field] = column
              taken << column
            end
          end

          # @param mapping [Hash{String => Integer}]
          # @raise [Mistake] when it cannot be used
          def check(mapping, headings)
            missing = needs.find { |field| mapping[field].nil? }
            raise Mistake, "Say which column holds the #{missing}" if missing

            mapping.each do |field, column|
              raise Mistake, "There is no column #{column} for #{field}" unless column.between?(0, headings.length - 1)
            end
            twice = mapping.values.tally.find { |_, count| count > 1 }
            raise Mistake, "The column “#{headings[twice[0]]}” is chosen for two things" if twice
          end

          private

          # A heading that contains the field's word, such as +Device name+.
          def like(field, plain, taken)
            plain.each_index.find do |index|
              !taken.include?(index) && words[field].any? { |word| word.length > 3 && plain[index].include?(word) }
            end
          end
        end
    end
  end
end
