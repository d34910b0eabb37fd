# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A line between two actors that does not say that one is a kind of the other.
      class ActorToActor < Basalt::Checks::Check
        rule "actor-to-actor", :error, reads: %w[involvement actor], each: "involvement"

        def about(line)
          one, other = line.endpoints.map { |id| set.element(id) }
          return [] unless other.kind == "actor"

          [
            finding(
              line.id,
              "A line joins the actors #{one.name} and #{other.name}",
              "What actors have to do with each other is outside the system; between them there is only that one is a kind of the other " \
              "(UML 2.5.1, 18.1.3).",
              repair: repair("Say that #{one.name} is a kind of #{other.name}", *instead(line))
            )
          ]
        end

        private

        def instead(line)
          special, general = line.endpoints
          ends = [["special", special], ["general", general]]
          [Change::Remove.new(id: line.id), Change::Add.new(kind: "actor generalisation", ends:)]
        end
      end
    end
  end
end
