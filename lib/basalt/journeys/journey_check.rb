# frozen_string_literal: true

module Basalt
  module Journeys
    # A rule about journeys, which may speak of anything by its name.
    class JourneyCheck < Basalt::Checks::Check
      READS = (Model::Catalogue.kinds.keys + ["sheet"]).freeze

      # Where nobody walks there is nothing to be found.
      def findings = !set.elements.any_by?(:kind, Kinds::JOURNEY) ? [] : found

      private

      def found = survey.journeys.flat_map { |one| one.steps.flat_map { |step| at(one, step) } }
      def survey = Survey.of(set)

      # @return [String] such as +step 2 of Report a leak+
      def title(one, element) = "#{element.kind == Kinds::STEP ? "step" : "branch"} #{one.course.number(element.id)} of #{one.journey.name}"

      def begun(words) = words[0].upcase + words[1..]
      def about(step) = [step.element.id, *step.parts.map(&:id)]
    end
  end
end
