# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A call that nobody answers on any way.
      class CallWithoutAnswer < InteractionCheck
        rule "call-without-answer", :hint, reads: READS

        def findings
          courses.all.flat_map { |one| one.executions.unanswered }.map do |id|
            call = set.element(id)
            finding(
              id,
              "Nobody answers #{words(call)} of #{name(call.target("from"))}",
              "Whoever asks waits for the answer; where none matters, the message is told and not asked."
            )
          end
        end
      end
    end
  end
end
