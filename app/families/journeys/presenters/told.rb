# frozen_string_literal: true

module Web
  module Families
    module Journeys
      module Presenters
        # A step in words, as a person reads it.
        module Told
          module_function

          # @param step [Basalt::Model::Element]
          # @return [String]
          def words(step)
            way = [step["from"], step["to"]].compact.join(" to ")
            [[way, step["passes"]].compact.join(": "), *rest(step)].join(", ")
          end

          def rest(step)
            [("when #{step["condition"]}" if step["condition"]), ("reads #{step["reads"]}#{by(step)}" if step["reads"]),
             ("writes #{step["writes"]}" if step["writes"]), moved(step), ("signs in" if step["signs_in"]),
             ("only signed in" if step["signed_in"]), ("may be refused" if step["refusable"])].compact
          end

          def by(step) = step["asks"] ? " by #{step["asks"]}" : ""
          def moved(step) = step["moves"] && "moves #{step["moves"]}#{" from #{step["was"]}" if step["was"]} to #{step["state"]}"

          # @param branch [Basalt::Model::Element]
          def branch(branch) = "#{branch["refusal"] ? "on refusal" : "when"}: #{branch["condition"]}"
        end
      end
    end
  end
end
