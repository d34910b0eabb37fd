# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A flow called by what is done instead of by what passes.
      class FlowNamedWithVerb < FlowCheck
        rule "flow-named-with-verb", :warning, reads: %w[flow], each: "flow", near: 1

        def about(flow)
          return [] unless English::Phrases.verb_name?(flow.name)

          noun = English::Phrases.noun(flow.name)
          [
            finding(
              flow.id,
              "“#{flow.name}” is what somebody does, not what passes",
              "A flow is named with a noun, so that it can be looked up and told from the process that makes it.",
              repair: noun && repair("Call it “#{noun}”", Change::Set.new(id: flow.id, fact: "name", value: noun))
            )
          ]
        end
      end
    end
  end
end
