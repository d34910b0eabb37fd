# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A use case whose name does not say what is done.
      class NameNotAVerbPhrase < Basalt::Checks::Check
        rule "name-not-a-verb-phrase", :hint, reads: ["use case"], each: "use case"

        def about(use_case)
          return [] if English::Phrases.imperative?(use_case.name)

          better = better(use_case.name)
          [
            finding(
              use_case.id,
              "“#{use_case.name}” does not say what somebody does",
              "A use case is called by a verb and what it is done to, such as “Report a leak”.",
              repair: better && repair("Call it “#{better}”", Change::Set.new(id: use_case.id, fact: "name", value: better))
            )
          ]
        end

        private

        # Of a third person, its verb; of a noun for what is done, the verb behind it.
        def better(name)
          found = English::Phrases.done(name)
          found if found != name && English::Phrases.imperative?(found)
        end
      end
    end
  end
end
