# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Alternatives of which none may hold.
      class OtherwiseMissing < InteractionCheck
        rule "otherwise-missing", :hint, reads: READS

        def findings
          fragments do |item|
            next [] unless item.element["operator"] == Interactions::Kinds::EITHER && item.branches.length > 1
            next [] if item.branches.any? { |branch| branch.element["guard"].to_s.strip == Interactions::Kinds::OTHERWISE }

            adding = Change::Add.new(kind: "operand", owner_id: item.element.id, facts: { "guard" => Interactions::Kinds::OTHERWISE })
            [
              finding(
                item.element.id,
                "#{fragment(item)} does not say what happens otherwise",
                "Where none of the conditions holds, all of it is passed over. Is that meant?",
                repair: repair("Add a branch for it", adding)
              )
            ]
          end
        end
      end
    end
  end
end
