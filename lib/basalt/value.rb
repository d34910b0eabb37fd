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
        take_over(made)
        made.class_eval(&block) if block
        work_out(made) if made.private_method_defined?(:initialize, false)
        made
      end

      private

      # A class whose objects are no more than what they are given: +new+ has the members written out and hands the values on
      # without a hash of them, since very many are made.
      def take_over(made)
        made.singleton_class.alias_method :filled, :new
        made.class_eval <<~RUBY, __FILE__, __LINE__ + 1
          def self.new(#{signature(made)}) = filled(#{made.members.join(", ")}).freeze
          def self.restore(values) = filled(*values).freeze
          def self.works_out? = false
        RUBY
      end

      # A class that makes something of what it is given first, in an +initialize+ of its own.
      def work_out(made)
        made.singleton_class.class_eval { %i[new restore works_out?].each { |name| remove_method(name) } }
        made.singleton_class.alias_method :new, :filled
        made.extend Working
        made.include(initializer(made))
      end

      def initializer(made)
        signature = signature(made)
        defaults = made::DEFAULTS
        Module.new do
          const_set(:DEFAULTS, defaults)
          class_eval <<~RUBY, __FILE__, __LINE__ + 1
            def initialize(#{signature})
              super(#{made.members.join(", ")})
              freeze
            end
          RUBY
        end
      end

      def signature(made)
        made.members.map { |member| "#{member}: #{made::DEFAULTS.key?(member) ? "DEFAULTS[:#{member}]" : "nil"}" }.join(", ")
      end
    end

    module Copying
      def with(**changes) = self.class.works_out? ? self.class.new(**to_h.merge!(changes)) : copied(changes)

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

    # What such a class answers.
    module Working
      # Made of values that were in such an object before, in the order of its members; nothing is worked out anew.
      #
      # @param values [Array]
      def restore(values)
        made = allocate
        made.__send__(:fill, *values)
        made.freeze
      end

      def works_out? = true
    end
    private_constant :Copying, :Working
  end
end
