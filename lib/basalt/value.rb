# frozen_string_literal: true

module Basalt
  # Makes classes of frozen, keyword-made value objects with +with+ for an altered copy.
  module Value
    # @param members [Array<Symbol>]
    # @return [Class]
    def self.of(*members, &block)
      Struct.new(*members, keyword_init: true) do
        def initialize(**)
          super
          freeze
        end

        def with(**changes)
          self.class.new(**to_h.merge!(changes))
        end

        # Made of values that were in such an object before, in the order of its members; nothing is worked out anew.
        #
        # @param values [Array]
        def self.restore(values)
          allocate.tap { |made| values.each_with_index { |value, index| made[index] = value } }.freeze
        end

        class_eval(&block) if block
      end
    end
  end
end
