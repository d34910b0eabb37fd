# frozen_string_literal: true

module Basalt
  module Software
    module Derivation
      # Names as each side writes them.
      module Naming
        module_function

        # @return [String] such as startedOn
        def feature(words)
          found = words.scan(/[\p{L}\p{N}]+/).map { |word| word[0].upcase + word[1..] }.join
          found.empty? ? "value" : found[0].downcase + found[1..]
        end

        # @return [String] such as started on
        def words(name) = name.gsub(/([\p{Ll}\p{N}])(\p{Lu})/, '\1 \2').tr("_", " ").downcase

        # @return [String] such as Work Order
        def title(name) = name.gsub(/([\p{Ll}\p{N}])(\p{Lu})/, '\1 \2').tr("_", " ")
      end
    end
  end
end
