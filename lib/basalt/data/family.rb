# frozen_string_literal: true

module Basalt
  # Data models: entities, their attributes and relationships; tables.
  module Data
    # What this family adds to the base.
    module Family
      module_function

      def kinds = Kinds::ALL
      def notations = [Notation::Entities.new, Notation::Tables.new]
      def forms = Sentences::FORMS + Sentences::TABLES
      def qualities = Sentences::QUALITIES
      def unparsers = Sentences::UNPARSERS
      def slots = Sentences::SLOTS

      def checks = Families.checks_in(File.join(__dir__, "checks"), Checks)

      # Expressions follow columns that are renamed, and other SQL follows tables.
      def settle(draft)
        Physical::Respelling.settle(draft)
        Physical::Mentions.settle(draft)
      end

      # What is told behind the declaration of an entity or a table.
      def details(unparser, thing)
        return Tabling.tell(unparser, thing) + Physical::Sentences.tell(unparser, thing) if thing.kind == "table"
        return Threads.told(unparser, thing) + Physical::Sentences.tell(unparser, thing) if thing.kind == "view"
        return Physical::Sentences.tell(unparser, thing) if thing.kind == Physical::Kinds::OBJECT

        %w[entity meeting].include?(thing.kind) ? Describing.tell(unparser, thing) : []
      end
    end
  end
end
