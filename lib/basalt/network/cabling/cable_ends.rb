# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Where cables end at a unit.
      module CableEnds
        # One end: its +cable+, the +role+ of the end in it, and the +label+ of the port, nil where it is not decided.
        End =
          Value.of(:cable, :role, :unit_id, :label) do
            # @return [Array<Model::End>] where the cable goes from here
            def others = cable.ends.reject { |one| one.role == role }
          end

        module_function

        # @return [Array<End>] in order of making
        def of(set, unit_id)
          set
            .relations_of(unit_id, "link")
            .sort_by(&:ordinal)
            .flat_map do |cable|
              here = cable.ends.select { |one| one.target_id == unit_id }
              here.map { |one| End.restore([cable, one.role, unit_id, one.facts["port"]]) }
            end
        end

        # @return [Hash{String => Array<End>}] by the label of the port
        def by_label(set, unit_id) = of(set, unit_id).select(&:label).group_by(&:label)
      end
    end
  end
end
