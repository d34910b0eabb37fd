# frozen_string_literal: true

module Basalt
  # Makes classes of frozen, keyword-made value objects with +with+ for an altered copy.
  module Value
    # @param members [Array<Symbol>]
    # @return [Class]
    def self.of(*members, &block)
      Struct.new(*members) do
        alias_method :fill, :initialize
        private :fill
        include Value.by_keywords(members)
        include Copying
        extend Restoring

        class_eval(&block) if block
      end
    end

    # Very many are made; keywords that are written out cost less than those that are gathered.
    #
    # @param members [Array<Symbol>]
    # @return [Module]
    def self.by_keywords(members)
      Module.new do
        module_eval(<<~RUBY, __FILE__, __LINE__ + 1)
          # def initialize(id: nil, name: nil)
          #   fill(id, name)
          #   freeze
          # end
          def initialize(#{members.map { |member| "#{member}: nil" }.join(", ")})
            fill(#{members.join(", ")})
            freeze
          end
        RUBY
      end
    end

    # Makes again what there was before.
    module Restoring
      # @param values [Array] of such an object, in the order of its members; nothing is worked out anew
      def restore(values) = allocate.restored(values)
    end

    # Copies of which some members are otherwise.
    module Copying
      # @param changes [Hash{Symbol => Object}]
      # @return [Object] with all worked out that its class works out of what it is given
      # @raise [ArgumentError] for what is no member
      def with(**changes) = self.class.new(**to_h.merge!(changes))

      # Of an empty one; see Restoring.
      def restored(values)
        fill(*values)
        freeze
      end

      private

      # A copy of which nothing is worked out anew: for the classes of which very many copies are made.
      #
      # @param changes [Hash{Symbol => Object}]
      # @raise [NameError] for what is no member
      def copied(changes)
        other = dup
        changes.each { |member, value| other[member] = value }
        other.freeze
      end
    end
  end
end
