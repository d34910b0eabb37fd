# frozen_string_literal: true

module Basalt
  module Journeys
    # Steps say what they mean by its name: where that becomes another and nothing has the old one any more, they say the new one.
    module Renaming
      module_function

      # @param draft [Change::Draft] all that an act does
      def settle(draft)
        return if [Kinds::STEP, Kinds::JOURNEY].none? { |kind| draft.elements.any_by?(:kind, kind) }

        names = renamed(draft)
        return if names.empty?

        draft.of_kind(Kinds::STEP).each { |step| follow(draft, step, Kinds::NAMING, names) }
        draft.of_kind(Kinds::JOURNEY).each { |journey| follow(draft, journey, ["who"], names) }
      end

      def renamed(draft)
        draft.elements.differences.filter_map do |_, before, after|
          next unless before&.name && after&.name && before.name != after.name

          [before.name, after.name] if draft.named(before.name).empty?
        end.to_h
      end

      def follow(draft, element, facts, names)
        facts.each do |fact|
          now = names[element[fact]]
          draft.apply(Change::Set.new(id: element.id, fact:, value: now)) if now
        end
      end
    end
  end
end
