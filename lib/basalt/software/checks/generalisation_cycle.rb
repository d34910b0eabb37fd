# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Actors, or use cases, that are kinds of each other.
      class GeneralisationCycle < CircleCheck
        rule "generalisation-cycle", :error, reads: ["actor", "use case", "actor generalisation", "use case generalisation"]

        private

        def lines = @lines ||= set.of_kind("actor generalisation", "use case generalisation")
        def words = "is a kind of"
        def words_of_many = "are kinds of"
        def why = "Whatever is more general than another cannot be a kind of it as well (UML 2.5.1, 9.9.4)."
        def undoing = "Take away that between"
      end
    end
  end
end
