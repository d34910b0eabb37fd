# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # What an actor or a use case came from, and the question that it answers there: who creates a crew, who shuts the desk down.
      module Threads
        # What somebody may do with what is kept.
        LETTERS = { "creates" => "C", "reads" => "R", "updates" => "U", "deletes" => "D" }.freeze
        # Of a system: who brings it up, keeps it going and ends it.
        LIFE = ["brings up", "looks after", "shuts down"].freeze
        VERBS = [*LETTERS.keys, *LIFE, "tells of", "is wanted by", "comes from", "is carried by"].freeze

        KINDS = [
          Model::Kind.new(
            name: "thread",
            plural: "threads",
            ends: { "of" => ["actor", "use case", "class", "component", "interaction"], "source" => Model::Kind::ANYTHING },
            brief: ["verb"],
            fields: [Model::Field.new(name: "verb", type: :choice, choices: VERBS)]
          ),
          Model::Kind.new(
            name: "nobody",
            plural: "what nobody does",
            ends: { "system" => ["system"], "source" => Model::Kind::ANYTHING },
            fields: [Model::Field.new(name: "verb", type: :choice, choices: VERBS), Model::Field.new(name: "reason", type: :text)]
          )
        ].freeze

        module_function

        # @return [Array<Model::Element>] the threads that lead to something
        def to(set, source_id) = set.relations_of(source_id, "thread").select { |one| one.target("source") == source_id }

        # @return [Array<Model::Element>] the threads of something
        def of(set, id) = set.relations_of(id, "thread").select { |one| one.target("of") == id }

        # @return [Array] changes; none where it is said already
        def joining(set, id, verb, source_id)
          return [] if of(set, id).any? { |one| one["verb"] == verb && one.target("source") == source_id }

          [Change::Add.new(kind: "thread", ends: [["of", id], ["source", source_id]], facts: { "verb" => verb })]
        end

        # That nobody does something with what stands there.
        #
        # @return [Array] changes
        def closing(set, system_id, verb, source_id, reason)
          known = closed(set, system_id, verb, source_id)
          return [Change::Set.new(id: known.id, fact: "reason", value: reason)] if known

          ends = [["system", system_id], ["source", source_id]]
          [Change::Add.new(kind: "nobody", ends:, facts: { "verb" => verb, "reason" => reason })]
        end

        # @return [Model::Element, nil] why nobody does it
        def closed(set, system_id, verb, source_id)
          set
            .relations_of(system_id, "nobody")
            .find { |one| one.target("system") == system_id && one["verb"] == verb && one.target("source") == source_id }
        end
      end
    end
  end
end
