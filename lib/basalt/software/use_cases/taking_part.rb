# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # Which actor takes part in which use case, as a matrix that can be filled in.
      class TakingPart
        # What a cell can say, in the order in which it is turned.
        STATES = { "" => nil, "takes part" => false, "starts" => true }.freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param sheet_id [String] of a sheet of use cases
        def initialize(set, sheet_id)
          @set = set
          things = set.things_on(sheet_id)
          @use_cases = things.select { |one| one.kind == "use case" }
          @actors = things.select { |one| one.kind == "actor" }
        end

        attr_reader :use_cases, :actors

        # @return [String] of STATES
        def cell(actor_id, use_case_id)
          line = line(actor_id, use_case_id) or return ""
          line["starts"] ? "starts" : "takes part"
        end

        # @param state [String] of STATES
        # @return [Array] changes
        def putting(actor_id, use_case_id, state)
          raise Mistake, "an actor starts a use case, takes part in it, or has nothing to do with it" unless STATES.key?(state)

          line = line(actor_id, use_case_id)
          return line ? [Change::Remove.new(id: line.id)] : [] if state.empty?

          starts = STATES[state] || nil
          return [Change::Set.new(id: line.id, fact: "starts", value: starts)] if line

          ends = [["actor", actor_id], ["use case", use_case_id]]
          [Change::Add.new(kind: "involvement", ends:, facts: { "starts" => starts }.compact)]
        end

        # @return [String]
        def csv =
          Formats::CSV.write(
            [["actor", *use_cases.map(&:name)], *actors.map { |actor| [actor.name, *use_cases.map { |one| cell(actor.id, one.id) }] }]
          )

        private

        def line(actor_id, use_case_id) =
          @set.relations_between(actor_id, use_case_id, "involvement").first
      end
    end
  end
end
