# frozen_string_literal: true

module Basalt
  # What is asked for: sources and the phrases marked in them, requirements, and what meets them.
  module Brief
    # What this family adds to the base.
    module Family
      module_function

      def kinds = Kinds::ALL
      def notations = [Notation::Requirements.new]
      def forms = Sentences::FORMS
      def qualities = Sentences::QUALITIES
      def unparsers = Sentences::UNPARSERS
      def slots = Sentences::SLOTS

      def checks = Families.checks_in(File.join(__dir__, "checks"), Checks)

      # What is told behind the declaration of something.
      def details(unparser, thing)
        case thing.kind
        when "requirement"
          thing["text"] ? [unparser.say("requirement", unparser.name(thing.name), :colon, thing["text"])] : []
        when "source"
          Marking.tell(unparser, thing)
        else
          []
        end
      end
    end
  end
end
