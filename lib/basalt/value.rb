# frozen_string_literal: true

module Basalt
  # Makes classes of frozen, keyword-made value objects with +with+ for an altered copy.
  module Value
    class << self
      # @param members [Array<Symbol>]
      # @param defaults [Hash{Symbol => Object}] what members are where they are not said; nil else. One of these that is not
      #   among the members comes behind them.
      # @return [Class]
      def of(*members, **defaults, &block)
        members |= defaults.keys
        made = Struct.new(*members) { include Copying }
        made.alias_method :fill, :initialize
        made.const_set(:PLACES, members.each_with_index.to_h.freeze)
        made.const_set(:DEFAULTS, defaults.each_value(&:freeze).freeze)
        made.class_eval(&block) if block
        made.private_method_defined?(:initialize, false) ? working_out(made) : taking_over(made)
      end

      private

      # A class whose objects are no more than what they are given: +new+ has the members written out and hands the values on
      # without a hash of them, since very many are made.
      def taking_over(made)
        made.singleton_class.alias_method :filled, :new
        made.class_eval <<~RUBY, __FILE__, __LINE__ + 1
          def self.new(#{signature(made)}) = filled(#{made.members.join(", ")}).freeze
          def self.restore(values) = filled(*values).freeze
        RUBY
        made.include(Plain)
      end

      # A class that makes something of what it is given first, in an +initialize+ of its own.
      def working_out(made)
        defaults = made::DEFAULTS
        made.extend Restoring
        made.include(
          Module.new do
            const_set(:DEFAULTS, defaults)
            class_eval <<~RUBY, __FILE__, __LINE__ + 1
              def initialize(#{Value.send(:signature, made)})
                super(#{made.members.join(", ")})
                freeze
              end
            RUBY
          end
        )
      end

      def signature(made)
        made.members.map { |member| "#{member}: #{made::DEFAULTS.key?(member) ? "DEFAULTS[:#{member}]" : "nil"}" }.join(", ")
      end
    end

    module Copying
      def with(**changes) = self.class.new(**to_h.merge!(changes))

      private

      # A copy of which nothing is worked out anew: for the classes of which very many copies are made.
      #
      # @param changes [Hash{Symbol => Object}]
      # @raise [ArgumentError] for what is no member
      def copied(changes)
        places = self.class::PLACES
        values = to_a
        changes.each { |member, value| values[places[member] || raise(ArgumentError, "there is no #{member}")] = value }
        self.class.restore(values)
      end
    end

    module Restoring
      # Made of values that were in such an object before, in the order of its members; nothing is worked out anew.
      #
      # @param values [Array]
      def restore(values)
        made = allocate
        made.__send__(:fill, *values)
        made.freeze
      end
    end

    # Nothing is worked out of the changes either.
    module Plain
      def with(**changes) = copied(changes)
    end
    private_constant :Copying, :Restoring, :Plain
  end
end
