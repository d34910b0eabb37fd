# frozen_string_literal: true

module Basalt
  module Model
    # What is worked out of a whole set, and holds as long as nothing of it is altered.
    module Derived
      # As many are kept; the one that was not asked for longest goes first.
      MOST = 16
      Known = Value.of(:state, :value)

      # @param key [Object] what it is, and of what
      # @yieldparam set [Object] to work it out of
      # @yieldparam was [Object, nil] what came of it before something was altered
      # @yieldparam altered [Array<Change::Delta>, nil] what was altered since; nil where that is not known
      # @return [Object] what the block came to
      def derived(key, &work)
        known = derivations[key]
        return known.value if known&.state == state

        was, altered = derived_before(key, &work)
        work.call(self, was, altered).tap { |value| keep_derived(key, value) }
      end

      private

      def derivations = @derivations ||= {}

      def keep_derived(key, value, at = state)
        derivations.delete(key)
        derivations[key] = Known.new(state: at, value:)
        derivations.shift if derivations.size > MOST
      end
    end
  end
end
