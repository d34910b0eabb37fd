# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # The names that SQL may speak of: whatever could be one. A name too many costs nothing but another order.
      module Words
        NAME = /"(?:[^"]|"")+"|[[:alpha:]_][[:alnum:]_$]*/
        STRINGS = /\$(\w*)\$.*?\$\1\$|'(?:[^']|'')*'/m

        module_function

        # @param texts [Array<String, nil>]
        # @return [Set<String>]
        def of(*texts)
          found = texts.compact.flat_map { |text| text.scan(NAME) }
          found.to_set { |one| one.start_with?('"') ? one[1..-2].gsub('""', '"') : one.downcase }
        end

        # @return [Set<String>] without what stands in strings, as the bodies of functions do
        def outside_strings(text) = of(text.gsub(STRINGS, "''"))
      end
    end
  end
end
