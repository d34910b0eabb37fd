# frozen_string_literal: true

module Basalt
  # Software structure: components, use cases and classes in the notation of UML 2.5.1.
  module Software
    # What this family adds to the base.
    module Family
      module_function

      COMMENTS = [Comments::KIND, Comments::LINE].freeze

      def kinds =
        [Systems::KIND, *Components::Kinds::ALL, *Classes::Kinds::ALL, *UseCases::Kinds::ALL, *UseCases::Threads::KINDS, *COMMENTS, *Interactions::Kinds::ALL]

      def notations
        [
          Notation::ComponentDiagram.new,
          Notation::UseCaseDiagram.new,
          Notation::ClassDiagram.new,
          Notation::SequenceDiagram.new,
          Notation::CommunicationDiagram.new
        ]
      end

      def forms = Sentences::FORMS
      def qualities = [*Systems::QUALITIES, *Sentences::QUALITIES]
      def unparsers = Sentences::UNPARSERS
      def slots = Sentences::SLOTS
      def openers = [Components::Opener.new, Interactions::Opener.new]

      def checks = Families.checks_in(File.join(__dir__, "checks"), Checks)

      # What follows from an act as a whole.
      def settle(draft)
        UseCases::Renumbering.settle(draft)
        Classes::Renaming.settle(draft)
        Interactions::Keeping.settle(draft)
      end

      # What is told behind the declaration of something.
      def details(unparser, thing)
        case thing.kind
        when "class"
          Classes::Featuring.tell(unparser, thing)
        when "comment"
          Comments.tell(unparser, thing)
        when "component"
          Components::Sentences.tell(unparser, thing)
        when "use case"
          UseCases::Describing.tell(unparser, thing)
        else
          []
        end
      end
    end
  end
end
