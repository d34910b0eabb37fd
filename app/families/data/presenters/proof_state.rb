# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # How far a proof of tables on the server is, and what it came to.
        class ProofState
          # @param task [Store::Task]
          def initialize(set, task)
            @set = set
            @task = task
            @outcome = task.result || {}
          end

          def id = @task.id
          def finished? = @task.finished?
          def done? = @task.state == "done"
          def proved? = @outcome["message"].nil?
          def reason = @outcome["reason"] || "It was stopped."
          def ran = @outcome["ran"]
          def of = @outcome["of"]
          def message = @outcome["message"]
          def line = @outcome["line"]

          # @return [String] what the statement that failed is about
          def title
            element.relation? ? Acting.title(@set, element) : [element.name, part&.name].compact.join(".") if element
          end

          # @return [String, nil] ids of what stands on the sheet for it, and of what is lit up there
          def shown = element&.relation? ? element.endpoints.first : element&.id
          def lit = part&.id || shown

          private

          def element = @element ||= @set.element(@outcome["element_id"].to_s)
          def part = @part ||= @set.element(@outcome["part_id"].to_s)
        end
      end
    end
  end
end
