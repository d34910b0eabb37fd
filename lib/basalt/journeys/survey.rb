# frozen_string_literal: true

module Basalt
  module Journeys
    # All journeys of a project as they are walked: the steps with the parts they go from and to, and the lines they go along.
    class Survey
      # +lines+ are ids; nil where there is no way to be gone, empty where one lacks.
      Step = Value.of(:element, :number, :from, :to, :reads, :writes, :lines) do
        # @return [Array<Model::Element>] what it goes from and to, and what it reads and writes
        def parts = [from, to, reads, writes].compact.uniq(&:id)
      end
      Walked = Value.of(:journey, :course, :ground, :steps)

      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      def self.of(set) = set.derived(:journeys) { |at| new(at) }

      def initialize(set)
        @set = set
        @lines = Hash.new { |known, sheet_id| known[sheet_id] = Lines.new(set, sheet_id) }
        @journeys = set.of_kind(Kinds::JOURNEY).to_h { |journey| [journey.id, walked(journey)] }
      end

      # @return [Array<Walked>] in order of making
      def journeys = @journeys.values

      # @return [Walked, nil]
      def journey(id) = @journeys[id]

      # @return [Array<Walked>] those walked on a sheet
      def on(sheet_id) = journeys.select { |one| one.ground.sheet_ids.include?(sheet_id) }

      # @return [Array<String>] ids of the sheets on which any is walked
      def sheet_ids = journeys.flat_map { |one| one.ground.sheet_ids }.uniq

      # @return [Hash{String => Array<Array(Walked, Step)>}] by id of the parts and lines, the steps that touch them
      def touched
        @touched ||=
          journeys.each_with_object({}) do |one, found|
            one.steps.each { |step| (step.parts.map(&:id) + (step.lines || [])).uniq.each { |id| (found[id] ||= []) << [one, step] } }
          end
      end

      # @return [Lines] of a sheet
      def lines(sheet_id) = @lines[sheet_id]

      # @return [Hash{String => Array<String>}] by id of what journeys touch, ids of those and of their steps that meet requirements
      def serving
        @serving ||= touched.transform_values { |pairs| pairs.flat_map { |one, _| meeting[one.journey.id] }.uniq }
      end

      private

      def meeting =
        @meeting ||= Hash.new do |known, id|
          ids = [id, *journey(id).course.steps.map(&:id)]
          known[id] = ids.select { |one| Declared.met(@set, one).any? }
        end

      def walked(journey)
        course = Course.new(@set, journey.id)
        ground = Ground.new(@set, journey.id, @lines.method(:[]))
        Walked.new(journey:, course:, ground:, steps: course.steps.map { |step| resolved(step, course, ground) })
      end

      def resolved(step, course, ground)
        from, to, reads, writes = step.facts.values_at("from", "to", "reads", "writes").map { |name| ground.part(name) }
        lines = ground.lines(from, to) if from && to
        Step.new(element: step, number: course.number(step.id), from:, to:, reads:, writes:, lines:)
      end
    end
  end
end
