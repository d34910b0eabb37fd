# frozen_string_literal: true

module Web
  module Families
    module Journeys
      module Presenters
        # All journeys of a project.
        class JourneysPage
          Core = Basalt::Journeys
          Row = Basalt::Value.of(:id, :name, :who, :goal, :steps, :sheets, :requirements)

          def initialize(project)
            @set = project.set
          end

          def empty? = rows.empty?
          def accounting = Core::Accounting.new(@set).sentences

          # @return [Array<Row>]
          def rows
            @rows ||= Core::Survey.of(@set).journeys.map { |one| row(one, one.journey) }
          end

          private

          def row(one, journey) =
            Row.new(id: journey.id, name: journey.name, who: journey["who"], goal: journey["goal"], steps: one.steps.length,
                    sheets: one.ground.sheet_ids.map { |id| @set.sheets[id] }, requirements: requirements(one))

          def requirements(one)
            ids = [one.journey.id, *one.course.steps.map(&:id)].flat_map { |id| Core::Declared.met(@set, id) }.uniq
            ids.map { |id| @set.element(id).name }
          end
        end
      end
    end
  end
end
