# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process on a logical level that is called by a thing instead of by what is done.
      class ProcessNotAVerbPhrase < FlowCheck
        rule "process-not-a-verb-phrase", :warning, reads: %w[process sheet], each: "process"

        def about(process)
          return [] if process.container_id.nil? || !on_logical_level?(process) || English::Phrases.imperative?(process.name)

          [
            finding(
              process.id,
              "“#{process.name}” does not say what is done",
              "On a logical level a process is a verb and what it is done to, such as “Assess leak”. Who does it belongs on a physical " \
              "level."
            )
          ]
        end

        private

        def on_logical_level?(process)
          sheets("data flow").any? { |sheet| sheet.band != "Physical" && set.shown?(sheet.id, process.id) }
        end
      end
    end
  end
end
