# frozen_string_literal: true

module Basalt
  module Journeys
    # What journeys have to do with requirements, and with the parts of the sheets on which they are walked, in numbers.
    class Accounting
      REQUIREMENT = "requirement"
      NAMES = 12

      def initialize(set)
        @set = set
        @survey = Survey.of(set)
      end

      # @return [Array<String>]
      def sentences = [covered, *parts]

      # @return [Array<Model::Element>] requirements that somebody could walk for
      def wanted
        @set.of_kind(REQUIREMENT).reject { |one| one["state"] == "dropped" || Checks::RequirementUncovered::UNWALKED.include?(one["type"]) }
      end

      # @return [Array<Model::Element>] those that some journey or step meets
      def walked_for = wanted.select { |one| met.include?(one.id) }

      # @return [Hash{String => Array<String>}] by requirement, the names of the journeys walked for it
      def journeys_of(requirement) = @survey.journeys.select { |one| ids(one).include?(requirement.id) }.map { |one| one.journey.name }

      private

      def met = @met ||= @survey.journeys.flat_map { |one| ids(one) }.to_set
      def ids(one) = [one.journey.id, *one.course.steps.map(&:id)].flat_map { |id| Declared.met(@set, id) }

      def covered
        left = wanted - walked_for
        count = English.count(@survey.journeys.length, "journey")
        return "#{count}, walked for no requirement yet" if walked_for.empty?

        "#{count}, walked for #{walked_for.length} of #{English.count(wanted.length, "requirement")}" \
          "#{"; none for #{English.list(left.first(NAMES).map(&:name))}#{" and others" if left.length > NAMES}" if left.any?}"
      end

      # @return [Array<String>] for each sheet, how many of its parts journeys come by
      def parts
        @survey.sheet_ids.map do |id|
          sheet = @set.sheets[id]
          things = @set.things_on(id).select { |thing| thing.description.figure.nil? && sheet.notation.walked?(thing) }
          come_by = things.count { |thing| @survey.touched.key?(thing.id) }
          "#{sheet.name}: journeys come by #{come_by} of #{English.count(things.length, "part")}"
        end
      end
    end
  end
end
