# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Use cases that include each other.
      class IncludeCycle < CircleCheck
        rule "include-cycle", :error, reads: ["use case", "inclusion"]

        private

        def lines = @lines ||= set.of_kind("inclusion")
        def words = "includes"
        def words_of_many = "include"
        def why = "What is included happens within what includes it, and so none of them could ever end (UML 2.5.1, 18.1.3)."
        def undoing = "Take away the inclusion between"
      end
    end
  end
end
