# frozen_string_literal: true

module Basalt
  # Clouds: what runs where, what joins it, and which thing can reach which.
  module Cloud
    # What this family adds to the base.
    module Family
      module_function

      def kinds = Kinds::ALL
      def notations = [Notation::Architecture.new]
      def forms = Sentences::FORMS
      def qualities = Sentences::QUALITIES
      def unparsers = Sentences::UNPARSERS
      def slots = Sentences::SLOTS

      def checks =
        [Checks::OpenToTheWorld, Checks::RuleTooWide, Checks::RuleWithoutEffect, Checks::NoWayOut, Checks::NoWayIn,
         Checks::ConnectionNotAllowed, Checks::OneZoneOnly, Checks::BlocksOverlap, Checks::ResourceOutsideSubnet, Checks::PublicStore, Checks::Unattached]

      def openers = []
      def settle(draft) = ShownFacts.settle(draft)
    end
  end
end
