# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # What there is of an interaction as a whole: its ways, each to be played on the drawing, and its other notation.
        class InteractionPanel
          Interactions = Basalt::Software::Interactions
          # So many ways can be played from the margin.
          MOST = 12
          Way = Basalt::Value.of(:title, :under, :path)

          def initialize(project:, sheet:)
            @set = project.set
            @sheet = sheet
          end

          def interaction = @interaction ||= Interactions::Scope.shown(@set, @sheet.id)
          def shown? = Interactions::Scope::SHEETS.include?(@sheet.notation_name) && !interaction.nil?
          def count = scenarios.count
          def more = [count - MOST, 0].max
          def other = (Interactions::Scope::SHEETS - [@sheet.notation_name]).first
          def numbered? = @sheet.view&.fetch("numbers", nil)
          def sequence? = @sheet.notation_name == "sequence"

          # @return [Array<Way>]
          def ways
            scenarios.first(MOST).each_with_index.map do |steps, index|
              under = steps.select(&:condition?).map(&:text)
              Way.new(title: "Scenario #{index + 1}", under: under.empty? ? "no conditions" : under.join("; "),
                      path: "scenario/#{index + 1}")
            end
          end

          # @return [Array<Basalt::Model::Element>] use cases that it traces
          def use_cases
            threads = Basalt::Software::UseCases::Threads.of(@set, interaction.id).select { |one| one["verb"] == "comes from" }
            threads.map { |one| @set.element(one.target("source")) }
          end

          private

          def scenarios = @scenarios ||= Interactions::Scenarios.new(@set, interaction.id)
        end
      end
    end
  end
end
