# frozen_string_literal: true

module Basalt
  # Processes: who does what, what stands outside, context and levelled data flow.
  module Process
    # What this family adds to the base.
    module Family
      module_function

      def kinds = Kinds::ALL
      def notations = [Notation::Activities.new, Notation::Context.new, Notation::DataFlow.new]
      def forms = Sentences::FORMS
      def qualities = Sentences::QUALITIES
      def unparsers = Sentences::UNPARSERS
      def slots = Sentences::SLOTS
      def openers = [LevelOpener.new]

      def checks = Families.checks_in(File.join(__dir__, "checks"), Checks) - [Checks::FlowCheck]

      # What is told behind the declaration of something.
      def details(unparser, thing)
        case thing.kind
        when "party"
          SystemBoundary.tell(unparser, thing)
        when "information"
          Composition.tell(unparser, thing)
        else
          []
        end
      end
    end
  end
end
