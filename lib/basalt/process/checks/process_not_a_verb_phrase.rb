# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process on a logical level that is called by a thing instead of by what is done.
      class ProcessNotAVerbPhrase < FlowCheck
        rule "process-not-a-verb-phrase", :warning, reads: %w[process sheet]

        def findings
          logical = sheets("data flow").reject { |sheet| sheet.band == "Physical" }
          set
            .of_kind("process")
            .select do |process|
              process.container_id && logical.any? { |sheet| set.shown?(sheet.id, process.id) } && !PhraseGrammar.imperative?(process.name)
            end
            .map do |process|
              finding(
                process.id,
                "“#{process.name}” does not say what is done",
                "On a logical level a process is a verb and what it is done to, such as “Assess leak”. Who does it belongs on a physical " \
                "level."
              )
            end
        end
      end
    end
  end
end
