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
        # Written out member by member, since very many are made so.
        #
        # @param values [Array]
        class_eval(<<~RUBY, __FILE__, __LINE__ + 1)
          def self.restore(values)                                                        # def self.restore(values)
            made = allocate                                                               #   made = allocate
            #{members.each_index.map { |index| "made[#{index}] = values[#{index}]" }.join('; ')}
            made.freeze                                                                   #   made.freeze
          end                                                                             # end
        RUBY

        class_eval(&block) if block
      end
    end
  end
end
