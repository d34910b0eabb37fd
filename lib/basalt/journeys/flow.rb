# frozen_string_literal: true

module Basalt
  module Journeys
    # What may come behind each step of a journey: the next one, a branch, a sub-step, where it is said to go on, or the end. A step that is
    # taken only under a condition may be left out.
    class Flow
      # @param course [Course]
      def initialize(course)
        @course = course
        @next = {}
      end

      # @return [Array<String, nil>] ids of the steps with which it may begin; nil is the end
      def starts = @starts ||= first_of(@course.journey.id)

      # @return [Array<String, nil>] ids of the steps that may come behind one; nil is the end
      def after(id)
        @next[id] ||=
          (onwards(id) + @course.branches_of(id).flat_map { |branch| entered(branch.id) }).uniq
      end

      # @return [Set<String>] ids of the steps that are come to
      # @yieldparam id [String] of a step
      # @yieldreturn [Boolean] whether one goes on behind it
      def reached(&onwards) = spread(starts.compact, ->(id) { onwards && !onwards.call(id) ? [] : after(id).compact })

      # @return [Set<String>] ids of the steps that are come to, and from which there is no way to the end
      def endless
        back = Hash.new { |table, id| table[id] = [] }
        there = reached
        there.each { |id| after(id).each { |to| back[to] << id } }
        there - spread(back[nil], ->(id) { back.key?(id) ? back[id] : [] })
      end

      private

      def spread(from, along)
        found = Set.new(from)
        waiting = from.dup
        while (id = waiting.pop)
          along.call(id).each { |to| waiting << to if found.add?(to) }
        end
        found
      end

      def onwards(id) = @course.steps_of(id).any? ? first_of(id) : behind(id)
      def first_of(id, seen = Set.new) = @course.steps_of(id).first&.then { |step| entering(step.id, seen) } || [nil]

      # @return [Array<String, nil>] with the way past it where it is taken only under a condition
      def entering(id, seen = Set.new)
        return [] unless seen.add?(id)

        @course.set.element(id)["condition"] ? [id, *behind(id, seen)] : [id]
      end

      def entered(branch_id, seen = Set.new) =
        @course.steps_of(branch_id).any? ? first_of(branch_id, seen) : resumed(branch_id, seen)

      def resumed(id, seen) = @course.resumes(id)&.then { |to| entering(to, seen) } || [nil]

      # Behind a step with all that is within it.
      def behind(id, seen = Set.new)
        return resumed(id, seen) if @course.resumes(id)

        step = @course.set.element(id)
        siblings = @course.steps_of(step.owner_id)
        following = siblings[siblings.index { |one| one.id == id } + 1]
        return entering(following.id, seen) if following

        leaving(@course.set.element(step.owner_id), seen)
      end

      def leaving(owner, seen)
        case owner.kind
        when Kinds::STEP then behind(owner.id, seen)
        when Kinds::BRANCH then resumed(owner.id, seen)
        else [nil]
        end
      end
    end
  end
end
