# frozen_string_literal: true

module Basalt
  # Makes classes of frozen, keyword-made value objects with +with+ for an altered copy.
  module Value
    # Whatever a class makes of what it is given first.
    module Frozen
      def initialize(**)
        super
        freeze
      end
    end
    private_constant :Frozen

    # @param members [Array<Symbol>]
    # @return [Class]
    def self.of(*members, &block)
      Struct.new(*members, keyword_init: true) do
        include Frozen

        def with(**changes)
          self.class.new(**to_h.merge!(changes))
        end

        # A copy of which nothing is worked out anew: for the classes of which very many copies are made.
        #
        # @param changes [Hash{Symbol => Object}]
        # @raise [ArgumentError] for what is no member
        places = members.each_with_index.to_h.freeze
        define_method(:copied) do |changes|
          values = to_a
          changes.each { |member, value| values[places[member] || raise(ArgumentError, "there is no #{member}")] = value }
          self.class.restore(values)
        end
        private :copied

        # Made of values that were in such an object before, in the order of its members; nothing is worked out anew. A plain
        # loop, since very many are made so.
        #
        # @param values [Array]
        count = members.length
        define_singleton_method(:restore) do |values|
          made = allocate
          index = 0
          while index < count
            made[index] = values[index]
            index += 1
          end
          made.freeze
        end

        class_eval(&block) if block
      end
    end
  end
end
