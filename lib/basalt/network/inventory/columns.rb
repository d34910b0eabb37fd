# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # Which column of an inventory holds what, guessed from the headings.
      module Columns
        FIELDS = %w[name role subnet address gateway location note].freeze
        WORDS = {
          "name" => %w[name hostname host device thing asset node system machine],
          "role" => %w[role type kind function category],
          "subnet" => %w[subnet network net segment lan vlanname prefix],
          "address" => %w[address ip ipaddress ipv4 ipv6 ipv4address ipv6address addr],
          "gateway" => %w[gateway defaultgateway gw router],
          "location" => %w[location place room site where building],
          "note" => %w[note notes remark remarks comment comments description]
        }.freeze

        module_function

        # @param headings [Array<String>]
        # @return [Hash{String => Integer}] field to column; a field that no heading suggests is left out
        def guess(headings)
          plain = headings.map { |heading| heading.downcase.unicode_normalize(:nfd).gsub(/[^a-z0-9]/, "") }
          taken = []
          exact = FIELDS.to_h { |field| [field, WORDS[field].lazy.filter_map { |word| plain.index(word) }.first] }
          FIELDS.each_with_object({}) do |field, found|
            column = exact[field] || like(field, plain, taken + exact.values.compact)
            next if column.nil? || taken.include?(column)

            found[field] = column
            taken << column
          end
        end

        # A heading that contains the field's word, such as +Device name+.
        def like(field, plain, taken)
          plain.each_index.find do |index|
            !taken.include?(index) && WORDS[field].any? { |word| word.length > 3 && plain[index].include?(word) }
          end
        end

        # @param mapping [Hash{String => Integer}]
        # @raise [Mistake] when it cannot be used
        def check(mapping, headings)
          raise Mistake, "Say which column holds the name" unless mapping["name"]

          mapping.each do |field, column|
            raise Mistake, "There is no column #{column} for #{field}" unless column.between?(0, headings.length - 1)
          end
          twice = mapping.values.tally.find { |_, count| count > 1 }
          raise Mistake, "The column “#{headings[twice[0]]}” is chosen for two things" if twice
        end
      end
    end
  end
end
