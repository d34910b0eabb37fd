# frozen_string_literal: true

module Basalt
  module Journeys
    # The steps of a journey in their order. Steps are numbered by it, sub-steps behind a point and branches behind a letter, and the
    # steps of a branch behind that: 2, 2.1, 2a, 2a1 (as alternatives of use cases are: Cockburn, "Writing Effective Use Cases", 2001).
    class Course
      # A step or a branch with its number, and how many others it is within.
      Entry = Value.of(:number, :element, :depth)
      STEP = /\A\d{1,4}(?:\.\d{1,4}|[a-z]{1,2}\d{1,4})*\z/
      BRANCH = /\A\d{1,4}(?:\.\d{1,4}|[a-z]{1,2}\d{1,4})*[a-z]{1,2}\z/

      # @param set [Model::WorkingSet, Change::Draft]
      # @param journey_id [String]
      def initialize(set, journey_id)
        @set = set
        @journey_id = journey_id
      end

      attr_reader :set

      def journey = set.element(@journey_id)

      # @return [Array<Entry>] each before what is within it
      def entries = @entries ||= within(@journey_id, "", 0)

      # @return [Array<Model::Element>]
      def steps = @steps ||= entries.map(&:element).select { |one| one.kind == Kinds::STEP }
      def branches = entries.map(&:element).select { |one| one.kind == Kinds::BRANCH }

      # @param number [String] such as +3+, +3.1+, +3a+ or +3a1+
      # @return [Model::Element, nil]
      def at(number)
        number.scan(/\d+|[a-z]+/).reduce(journey) { |owner, part| owner && inner(owner.id, part) }
      end

      # @return [String, nil] the number of a step or branch
      def number(id) = numbers[id]

      # @return [Array<Model::Element>] steps that are directly part of the journey, a step or a branch
      def steps_of(id) = parts(id).select { |part| part.kind == Kinds::STEP }
      def branches_of(id) = parts(id).select { |part| part.kind == Kinds::BRANCH }

      # @return [String, nil] id of the step at which the journey goes on behind a step or branch, where it is said
      def resumes(id) = set.relations_of(id, Kinds::GOING_ON).find { |one| one.target("from") == id }&.target("to")

      # @return [String] a letter for each place: a to z, then aa, ab
      def self.letter(index) = ("a"..).lazy.first(index + 1).last

      private

      def parts(id) = set.parts_of(id)

      # One by the last part of its number, without counting all others.
      def inner(owner_id, part)
        return steps_of(owner_id)[part.to_i - 1] if part.match?(/\d/) && part.to_i.positive?

        branches_of(owner_id).each_with_index.find { |_, index| Course.letter(index) == part }&.first
      end

      def numbers = @numbers ||= entries.to_h { |entry| [entry.element.id, entry.number] }

      def within(id, prefix, depth)
        own = parts(id)
        steps, branches = own.partition { |part| part.kind == Kinds::STEP }
        steps.each_with_index.flat_map { |step, index| entry(step, "#{prefix}#{index + 1}", depth) } +
          branches.each_with_index.flat_map { |branch, index| entry(branch, "#{prefix.delete_suffix(".")}#{Course.letter(index)}", depth) }
      end

      # Sub-steps are numbered behind a point, the steps of a branch behind its letter.
      def entry(element, number, depth)
        [Entry.new(number:, element:, depth:), *within(element.id, element.kind == Kinds::STEP ? "#{number}." : number, depth + 1)]
      end
    end
  end
end
