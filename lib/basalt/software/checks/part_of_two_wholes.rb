# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A class whose objects are parts of two kinds of wholes.
      class PartOfTwoWholes < Basalt::Checks::Check
        rule "part-of-two-wholes", :error, reads: %w[class composition], each: "class"

        def about(one)
          lines = set.relations_of(one.id, "composition").select { |line| line.target("part") == one.id }
          return [] if lines.length < 2

          both = lines.count { |line| mandatory?(line) } > 1
          names = lines.map { |line| set.element(line.target("whole")).name }.uniq
          return [] if names.one?

          [
            Basalt::Checks::Finding.new(
              id: self.class.id,
              severity: both ? :error : :hint,
              subjects: [one.id],
              message: "#{one.name} is a part of #{English.list(names)}",
              why: both ? "A part belongs to one whole at a time, and here each of them is needed (UML 2.5.1, 9.5.3)." : MAYBE,
              also: lines.map(&:id)
            )
          ]
        end

        MAYBE = "A part belongs to one whole at a time; it is right where each part is of one or of another."
        private_constant :MAYBE

        private

        # Where nothing is said a part needs its whole.
        def mandatory?(line)
          times = line.ends.first.facts["multiplicity"]
          times.nil? || Features::Multiplicity.of(times).low.positive?
        end
      end
    end
  end
end
