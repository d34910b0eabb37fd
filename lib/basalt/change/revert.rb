# frozen_string_literal: true

module Basalt
  module Change
    # Takes deltas the way they say, fact by fact: what a delta does not alter may have
    # become different in the meantime, what it alters must still be as it was left.
    Revert = Value.of(:deltas) do
      def apply(draft)
        deltas.each { |delta| take(draft, delta) }
      end

      private

      def take(draft, delta)
        current = draft.table(delta.table)[delta.id]
        if delta.before.nil? then bring(draft, delta, current)
        elsif current.nil? then raise Refusals::Gone, title(delta)
        elsif delta.after.nil? then delete(draft, delta, current)
        else
          draft.put(delta.table, merge(delta, current))
        end
      end

      def bring(draft, delta, current)
        raise Conflict, "#{title(delta)} is there already" if current

        draft.put(delta.table, delta.after)
      end

      def delete(draft, delta, current)
        raise Refusals::AlteredSince, title(delta) unless current == delta.before

        draft.delete(delta.table, delta.id)
      end

      def merge(delta, current)
        altered = delta.altered
        current.with(**altered.to_h { |key| [key, merged(delta, current, key)] })
      end

      def merged(delta, current, key)
        return merged_facts(delta, current) if key == :facts
        raise Refusals::AlteredSince, title(delta) unless current.public_send(key) == delta.before.public_send(key)

        delta.after.public_send(key)
      end

      def merged_facts(delta, current)
        before = delta.before.facts
        after = delta.after.facts
        (before.keys | after.keys).each_with_object(current.facts.dup) do |fact, facts|
          next if before[fact] == after[fact]
          raise Refusals::AlteredSince, "#{fact} of #{title(delta)}" unless facts[fact] == before[fact]

          after.key?(fact) ? facts[fact] = after[fact] : facts.delete(fact)
        end
      end

      def title(delta)
        row = delta.before || delta.after
        row.respond_to?(:name) && row.name ? row.name : "a #{row.respond_to?(:kind) ? row.kind : 'placement'}"
      end
    end
  end
end
