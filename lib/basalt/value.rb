# frozen_string_literal: true

module Basalt
  # Makes classes of frozen, keyword-made value objects with +with+ for an altered copy.
  module Value
    # @param members [Array<Symbol>]
    # @return [Class]
    def self.of(*members, &block)
      Struct.new(*members) do
        include Value.making(members)

        def with(**changes)
          self.class.new(**to_h.merge!(changes))
        end

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

    # Each member is a keyword of its own: no table of them is made for every object, since very many are made.
    #
    # @return [Module] with +initialize+
    def self.making(members)
      Module.new do
        class_eval(<<~RUBY, __FILE__, __LINE__ + 1)
          def initialize(#{members.map { |member| "#{member}: nil" }.join(", ")})
            super(#{members.join(", ")})
            freeze
          end
        RUBY
      end
    end
  end
end
