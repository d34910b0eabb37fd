# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An answer to what nobody asked.
      class AnswerWithoutCall < InteractionCheck
        rule "answer-without-call", :warning, reads: READS

        def findings
          courses.all.flat_map { |one| one.executions.astray }.map do |id|
            answer = set.element(id)
            finding(
              id,
              "#{name(answer.target("from"))} answers #{name(answer.target("to"))}, who asked nothing that is still open",
              "An answer ends what a call began. Without one it is a message of its own.",
              repair: repair("Make it a message that is told", Change::Set.new(id:, fact: "sort", value: Interactions::Kinds::ASYNCHRONOUS))
            )
          end
        end
      end
    end
  end
end
