# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # The description of a use case as the lines of an interaction. What the system does it does itself, what others do they ask of it;
      # a branch that goes on with the steps is an option, or one of several ways where several leave the same step, and one that does
      # not go on is a break.
      class FromSteps
        K = Kinds

        # @param interaction_id [String] for whose participants it is
        def initialize(set, use_case, interaction_id)
          @set = set
          @use_case = use_case
          @interaction_id = interaction_id
          @description = UseCases::Description.new(set, use_case.id)
        end

        # @return [Array<Line>]
        def lines
          return [presence] if @description.steps.empty? && actor

          @description.steps.each_with_index.flat_map { |step, index| [line(step), *branches(index + 1)] }
        end

        private

        # Somebody is there, whose first words are still to be said.
        def presence = Line.new(kind: "message", ends: [["from", named(actor.name)], ["to", system]], facts: { "sort" => K::CALL })

        def line(step)
          who = step["who"]
          from = who.nil? || itself?(who) ? system : named(who)
          Line.new(kind: "message", name: step["does"], ends: [["from", from], ["to", system]], facts: { "sort" => K::CALL })
        end

        # A step of nobody is one of whoever starts the use case, or of the system.
        def itself?(who) = [system_name, "system", "the system"].include?(who)
        def system = named(system_name)
        def named(name) = Statements::Naming.new(name)

        def system_name
          @system_name ||=
            begin
              around = @use_case.container_id && @set.element(@use_case.container_id)
              around = @set.element(around.container_id) while around && around.kind != "system" && around.container_id
              around&.kind == "system" ? around.name : "System"
            end
        end

        # @return [Model::Element, nil] who starts the use case, or takes part in it
        def actor
          lines = @set.relations_of(@use_case.id, "involvement")
          (lines.find { |one| one["starts"] } || lines.first)&.then { |one| @set.element(one.target("actor")) }
        end

        def branches(number)
          leaving = @description.branches.select { |branch| branch["from"] == number }
          ending, going_on = leaving.partition { |branch| branch["resumes"].nil? }
          ending.flat_map { |branch| fragment(K::BREAK, [branch]) } + alternatives(going_on)
        end

        def alternatives(branches)
          return [] if branches.empty?

          fragment(branches.one? ? K::OPTION : K::EITHER, branches)
        end

        def fragment(operator, branches)
          first, *others = branches
          [
            Line.new(role: :open, kind: "fragment", facts: { "operator" => operator }, guard: first["condition"]),
            *inner(first),
            *others.flat_map { |one|
              [Line.new(role: :branch, kind: "operand", facts: { "operator" => operator }, guard: one["condition"]), *inner(one)]
            },
            Line.new(role: :close)
          ]
        end

        def inner(branch) = @description.steps_of(branch).map { |step| line(step) }
      end
    end
  end
end
