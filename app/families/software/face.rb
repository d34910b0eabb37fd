# frozen_string_literal: true

module Web
  module Families
    module Software
      # A further face of sheets: its name in the address, the words of its tab, its template, and what that shows.
      Face =
        Basalt::Value.of(:name, :words, :notations, :template, :presenter) do
          self::TAKING_PART =
            new(
              name: "taking-part",
              words: "Who takes part",
              notations: ["use cases"],
              template: :taking_part,
              presenter: Presenters::TakingPartFace
            )
          self::SCENARIOS =
            new(
              name: "scenarios",
              words: "Scenarios",
              notations: %w[sequence communication],
              template: :scenarios,
              presenter: Presenters::ScenariosFace
            )
          self::TRAFFIC =
            new(
              name: "traffic",
              words: "Who speaks",
              notations: %w[sequence communication],
              template: :traffic,
              presenter: Presenters::TrafficFace
            )
          self::ACCESS =
            new(name: "access", words: "Who may", notations: ["use cases"], template: :access, presenter: Presenters::AccessFace)
        end
    end
  end
end
