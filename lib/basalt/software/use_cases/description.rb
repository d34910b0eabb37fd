# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # What happens in a use case: its main steps in their order, and the branches that leave them (Cockburn, "Writing Effective Use
      # Cases", 2001). Steps are numbered by their order, those of a branch behind its letter: 3, 3a, 3a1.
      class Description
        # A step or a branch with its number.
        Entry = Value.of(:number, :element)

        # @param set [Model::WorkingSet, Change::Draft]
        # @param use_case_id [String]
        def initialize(set, use_case_id)
          @set = set
          parts = set.parts_of(use_case_id)
          @steps = parts.select { |part| part.kind == "step" }
          @branches = parts.select { |part| part.kind == "branch" }
        end

        attr_reader :steps, :branches

        def empty? = @steps.empty? && @branches.empty?

        # @return [Array<Entry>] main steps, and behind each the branches that leave it; those from nowhere at the end
        def entries
          main = @steps.each_with_index.flat_map { |step, index| [Entry.new(number: (index + 1).to_s, element: step), *from(index + 1)] }
          main + @branches.map { |branch| branch["from"] || Kinds::NOWHERE }.uniq.reject { |at| at.between?(1, @steps.length) }.sort
            .flat_map { |at| from(at) }
        end

        # @return [String] of a branch
        def label(branch)
          alike = @branches.select { |one| one["from"] == branch["from"] }
          "#{branch["from"] || Kinds::NOWHERE}#{letter(alike.index { |one| one.id == branch.id })}"
        end

        # @return [Array<Model::Element>] in their order
        def steps_of(branch) = @set.parts_of(branch.id)

        # @param number [String] as in +3+, +3a+ or +3a1+
        # @return [Model::Element, nil]
        def at(number) = entries.find { |entry| entry.number == number }&.element

        # @return [Boolean] whether a branch leaves a step that is there
        def rooted?(branch) = (branch["from"] || Kinds::NOWHERE).between?(1, @steps.length)

        # @return [String] a letter for each place, a to z and then aa, ab
        def self.letter(index) = ("a"..).lazy.first(index + 1).last

        private

        def letter(index) = self.class.letter(index)

        def from(at)
          @branches.select { |branch| (branch["from"] || Kinds::NOWHERE) == at }.flat_map do |branch|
            label = label(branch)
            [Entry.new(number: label, element: branch)] +
              steps_of(branch).each_with_index.map { |step, index| Entry.new(number: "#{label}#{index + 1}", element: step) }
          end
        end
      end
    end
  end
end
