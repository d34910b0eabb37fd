# frozen_string_literal: true

module Basalt
  module Software
    # A thing of certain kinds by its name, or a part of such by its path, as in +Alarm.severity+.
    class PartSlot
      # @param kinds [Array<String>] of things and of parts
      def initialize(kinds)
        @kinds = kinds
        @thing = Statements::ThingSlot.new
        things, = kinds.partition { |kind| !Classes::Kinds::FEATURES.include?(kind) && kind != "port" }
        @node = Statements::Pattern::Slot.new(name: :part, slot: :thing, arguments: things)
      end

      def stops?(_token) = false

      def candidates(matcher, _node, rest, at, &found)
        @thing.candidates(matcher, @node, rest, at, &found)
        return unless matcher.token(at)

        Statements::Path.new(matcher.context.draft).each(matcher.tokens, at) do |part, after|
          yield part, after if @kinds.include?(part.kind)
        end
      end
    end
  end
end
