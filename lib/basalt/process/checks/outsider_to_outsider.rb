# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A flow that no process takes part in.
      class OutsiderToOutsider < FlowCheck
        rule "outsider-to-outsider", :warning, reads: %w[flow party system store process sheet]

        def findings
          flows
            .select { |flow| ends(flow).all? { |one| one.kind == "party" } && at_data_flow?(flow) }
            .map do |flow|
              finding(
                flow.id,
                "#{name(flow.target("from"))} gives #{flow.name} to #{name(flow.target("to"))} outside",
                "What passes between two outside is none of the process. Where it matters, the process takes part in it."
              )
            end
        end

        private

        # On the context of a system, neighbours may be joined among themselves.
        def at_data_flow?(flow)
          on = drawn.select { |sheet| set.drawn_between?(sheet.id, flow) }
          on.any? &&
            on.none? do |sheet|
              sheet.notation_name == "context" && set.element(sheet.subject_id.to_s)&.kind != "process" &&
                set.things_on(sheet.id).none? { |thing| thing.kind == "process" }
            end
        end
      end
    end
  end
end
