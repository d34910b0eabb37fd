# frozen_string_literal: true

module Basalt
  # Decisions: what was chosen, why, and what it is about.
  module Decisions
    # What this family adds to the base.
    module Family
      module_function

      def kinds = Kinds::ALL
      def notations = [Notation::Log.new]
      def forms = Sentences::FORMS
      def qualities = Sentences::QUALITIES
      def unparsers = Sentences::UNPARSERS
      def slots = Sentences::SLOTS
      def settle(draft) = About.settle(draft)
      def signs(set, ids) = Signs.of(set, ids)
      def details(unparser, thing) = thing.kind == Kinds::DECISION ? Sentences.details(unparser, thing) : []

      def checks = Families.checks_in(File.join(__dir__, "checks"), Checks)
    end
  end
end
