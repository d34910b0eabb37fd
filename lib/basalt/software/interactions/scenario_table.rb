# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Scenarios as test cases.
      class ScenarioTable
        COLUMNS = %w[interaction scenario step under does].freeze

        # @param title [String] of the interaction
        # @param scenarios [Scenarios]
        def initialize(title, scenarios)
          @title = title
          @scenarios = scenarios
        end

        # @return [Array<Array>] a row for each step: the conditions that hold by then, and what is done
        def rows = @scenarios.list.each_with_index.flat_map { |steps, index| rows_of(steps, index + 1) }

        # @return [String]
        def csv(header: true) = Formats::CSV.write([*([COLUMNS] if header), *rows])

        # @return [String]
        def markdown
          parts = @scenarios.list.each_with_index.map { |steps, index| scenario(steps, index + 1) }
          ["# #{plain(@title)}", notice, *parts].join("\n\n").concat("\n")
        end

        # @return [String] how many there are, how many of them are told, and what their steps do not show
        def notice = [number, *TOLD_AS.filter_map { |operator, words| words if @scenarios.any?(operator) }].join(" ")

        TOLD_AS = {
          Kinds::PARALLEL => "What happens at the same time is told one after the other.",
          Kinds::REFERENCE => "A reference to another interaction is one step."
        }.freeze
        private_constant :TOLD_AS

        private

        def number
          count = @scenarios.count
          return "#{English.count(count, "scenario")}." if count == @scenarios.list.length
          return "#{count} scenarios, too many to be told." if @scenarios.list.empty?

          "#{count} scenarios; the first #{@scenarios.list.length} are told."
        end

        def rows_of(steps, scenario)
          conditions = []
          rows =
            steps.each_with_object([]) do |step, found|
              next conditions << step.text if step.condition?

              found << [@title, scenario, found.length + 1, conditions.join("; "), step.text]
            end
          rows.empty? ? [[@title, scenario, 0, conditions.join("; "), "nothing"]] : rows
        end

        def scenario(steps, number)
          conditions = steps.select(&:condition?).map(&:text)
          done = steps.reject(&:condition?).each_with_index.map { |step, index| "#{index + 1}. #{plain(step.text)}" }
          ["## Scenario #{number}", *("Under: #{plain(conditions.join("; "))}" if conditions.any?),
           done.empty? ? "Nothing happens." : done.join("\n")].join("\n\n")
        end

        # What Markdown would read as its own.
        def plain(text) = text.gsub(/[\\`*_\[\]<>#|]/) { |mark| "\\#{mark}" }
      end
    end
  end
end
