# frozen_string_literal: true

module Basalt
  # Journeys: what somebody does with a design, step by step, and whether it can be done.
  module Journeys
    # What this family adds to the base.
    module Family
      module_function

      def kinds = Kinds::ALL
      def notations = []
      def forms = Sentences::FORMS
      def qualities = Sentences::QUALITIES
      def unparsers = Sentences::UNPARSERS
      def slots = Sentences::SLOTS
      def title(set, element) = [Kinds::STEP, Kinds::BRANCH].include?(element.kind) ? Steps.title(set, element) : nil
      def serving(set) = walked?(set) ? Survey.of(set).serving : {}
      def accounting(set) = walked?(set) ? Accounting.new(set).sentences : []
      def walked?(set) = set.elements.any_by?(:kind, Kinds::JOURNEY)
      def settle(draft) = Renaming.settle(draft)
      def told = [Kinds::STATES, Kinds::ASKING]
      def details(unparser, thing) = thing.kind == Kinds::JOURNEY ? Sentences.details(unparser, thing) : []

      def checks = Families.checks_in(File.join(__dir__, "checks"), Checks)
    end
  end
end
