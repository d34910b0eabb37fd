# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # A column that may be empty where the entities say it must not, or the other way round.
      class NullableDisagrees < Basalt::Checks::Check
        rule "nullable-disagrees", :warning, reads: %w[column table relationship entity attribute reference]

        def findings
          set
            .of_kind("column")
            .filter_map do |column|
              must = must?(column)
              next if must.nil? || must == (column["required"] || column["key"] ? true : false)

              table = set.element(column.owner_id)
              said = Threads.path(set, column["thread"])
              message = must ? "may be empty, and #{said} must not" : "has to be filled, and #{said} need not"
              finding(
                table.id,
                "#{table.name}.#{column.name} #{message}",
                "What was confirmed about the entities and what the database holds are not the same.",
                repair:
                  repair(
                    must ? "Require it" : "Let it be empty",
                    Change::Set.new(id: column.id, fact: "required", value: must ? true : nil)
                  )
              )
            end
        end

        private

        # @return [Boolean, nil] nil where the entities say nothing of it
        def must?(column)
          return if column["thread"].nil? || column["key"]

          source = Threads.source(set, column) or return
          return attribute?(source) if source.kind == "attribute" && column["thread"] == source.id

          foreign?(column, source) if source.kind == "relationship" && set.relations_of(column.id, "reference").any?
        end

        # One of an entity that has a table of its own; a key stands unique and required.
        def attribute?(attribute)
          owner = set.element(attribute.owner_id)
          if owner.kind == "entity" && Logical::SpecialisationMapping.home(set, owner).id == owner.id && !attribute["many"] &&
             !attribute["kept"]
            attribute["required"] || attribute["key"] ? true : false
          end
        end

        def foreign?(column, relationship)
          return if relationship.targets.any? { |id| Logical::SpecialisationMapping.apart(set, set.element(id)).any? }

          table = set.element(column.owner_id)["thread"]
          across = relationship.ends.find { |joined| joined.target_id != table } or return
          least = Cardinality.read(across.facts["cardinality"]).least
          least.nil? ? nil : least.positive?
        end
      end
    end
  end
end
