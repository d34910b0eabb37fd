# frozen_string_literal: true

module Basalt
  module Software
    module Notation
      # Tidies classes so that what is more general stands above what is a kind of it.
      class Hierarchy < Drawing::LayeredLayout
        private

        # As many steps as it takes, and beneath all that it is a kind of; circles end somewhere.
        def levels(part, root)
          found = super
          ups = part.to_set(&:id).then { |ids| above.select { |low, high| ids.include?(low) && ids.include?(high) } }
          found = found.merge(lowered(part, ups, found)) if ups.any?
          used = found.values.uniq.sort
          found.transform_values { |level| used.index(level) }
        end

        def lowered(part, ups, levels)
          found = levels.dup
          part.length.times do
            moved = ups.select { |low, high| found[low] <= found[high] }
            break if moved.empty?

            moved.each { |low, high| found[low] = [found[low], found[high] + 1].max }
            break if found.values.max > levels.values.max + part.length
          end
          found
        end

        # A class that is an association too stands by what that joins.
        def near
          @near ||=
            @lines.each_with_object(super) do |line, table|
              id = line.target("class")
              next unless id && table.key?(id)

              line.endpoints.each { |other| [[id, other], [other, id]].each { |from, to| table[from] |= [to] } }
            end
        end

        # @return [Array<Array(String, String)>] what is a kind of what
        def above =
          @above ||= @lines.select { |line| LineLooks::TREES.include?(line.kind) }.map(&:endpoints).reject { |one, other| one == other }
      end
    end
  end
end
