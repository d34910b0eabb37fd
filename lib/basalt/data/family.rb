# frozen_string_literal: true

module Basalt
  # Data models: entities, their attributes and relationships; tables.
  module Data
    # What this family adds to the base.
    module Family
      module_function

      def kinds = Kinds::ALL
      def notations = [Notation::Entities.new]
      def forms = Sentences::FORMS
      def qualities = Sentences::QUALITIES
      def tellings = Sentences::TELLINGS
      def slots = Sentences::SLOTS
      def checks = [Checks::NoKey]

      # What is told behind the declaration of an entity.
      def details(teller, thing) = %w[entity meeting].include?(thing.kind) ? Describing.tell(teller, thing) : []
    end
  end
end
