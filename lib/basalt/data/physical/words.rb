# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # The names that SQL may speak of: whatever could be one. A name too many costs nothing but another order.
      module Words
        NAME = /"(?:[^"]|"")+"|[[:alpha:]_][[:alnum:]_$]*/
        # With what stands before it and a point.
        NAMES = /(?:(#{NAME})\s*\.\s*)?(#{NAME})/
        STRINGS = /\$(\w*)\$.*?\$\1\$|'(?:[^']|'')*'/m

        module_function

        # @param texts [Array<String, nil>]
        # @return [Set<Array(String, String)>] each name behind what it is in, or behind nil
        def of(*texts) = texts.compact.flat_map { |text| text.scan(NAMES) }.to_set { |pair| pair.map { |one| one && plain(one) } }

        # @return [Set] without what stands in strings, as the bodies of functions do
        def outside_strings(text) = of(text.gsub(STRINGS, "''"))

        def plain(one) = one.start_with?('"') ? one[1..-2].gsub('""', '"') : one.downcase
      end
    end
  end
end
