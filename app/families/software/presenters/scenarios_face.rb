# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # Every way through an interaction, step by step.
        class ScenariosFace
          Interactions = Basalt::Software::Interactions
          Scenario = Basalt::Value.of(:number, :under, :steps)

          def initialize(project:, sheet:)
            @set = project.set
            @interaction = Interactions::Scope.shown(@set, sheet.id)
            @scenarios = Interactions::Scenarios.new(@set, @interaction&.id.to_s)
          end

          def empty? = @interaction.nil? || Interactions::Course.new(@set, @interaction.id).flat.empty?
          def notice = Interactions::ScenarioTable.new(@interaction.name, @scenarios).notice

          # @return [Array<Scenario>]
          def list =
            @scenarios.list.each_with_index.map do |steps, index|
              conditions, done = steps.partition(&:condition?)
              Scenario.new(number: index + 1, under: (conditions.map(&:text).join("; ") if conditions.any?), steps: done.map(&:text))
            end
        end
      end
    end
  end
end
