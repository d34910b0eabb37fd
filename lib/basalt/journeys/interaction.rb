# frozen_string_literal: true

module Basalt
  module Journeys
    # The steps of a journey as the lines of an interaction: what passes is a message, a branch is an option where the journey goes on
    # behind it and a break where it does not. It is said in sentences, so that it needs nothing of those who read them.
    class Interaction
      NOTATION = "sequence"

      # @param from [String, nil] number of the step with which it begins; the first where nothing is said
      def initialize(draft, journey_id, from: nil)
        @draft = draft
        @course = Course.new(draft, journey_id)
        @from = from
      end

      # @param sheet_id [String] of a new sheet
      # @raise [Mistake] where there is nothing to be said, or no family reads it
      def into(sheet_id)
        steps = @course.steps_of(@course.journey.id).drop_while { |step| @from && @course.number(step.id) != @from }
        raise Mistake, "#{@course.journey.name} has no steps from which an interaction could be begun" if steps.empty?

        Statements::Document.new((who(steps) + steps.flat_map { |step| told(step) }).join("\n")).into(@draft, sheet_id:)
      end

      private

      def who(steps) = all(steps).flat_map { |step| [step["from"], step["to"]] }.compact.uniq.map { |name| "participant #{quoted(name)}" }
      def all(steps) = steps.flat_map { |step| [step, *@draft.parts_within(step.id).select { |part| part.kind == Kinds::STEP }] }

      def told(step)
        lines = [message(step), *@course.steps_of(step.id).flat_map { |inner| told(inner) }]
        lines = ["optionally when #{step["condition"]}", *lines, "end"] if step["condition"]
        lines + @course.branches_of(step.id).flat_map { |branch| branched(branch) }
      end

      def message(step)
        from, to, words = step.facts.values_at("from", "to", "passes")
        return "#{quoted(from)} itself: #{words || "…"}" if to.nil? || to == from

        "#{quoted(from)} asks #{quoted(to)}: #{words || "…"}"
      end

      def branched(branch)
        inner = @course.steps_of(branch.id).flat_map { |step| told(step) }
        return [] if inner.empty?

        ["#{@course.resumes(branch.id) ? "optionally" : "break"} when #{branch["condition"] || "…"}", *inner, "end"]
      end

      def quoted(name) = Statements::Quoting.quote(name || "…")
    end
  end
end
