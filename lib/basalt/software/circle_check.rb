# frozen_string_literal: true

module Basalt
  module Software
    # What a check finds where lines lead round in a circle.
    class CircleCheck < Basalt::Checks::Check
      MOST = 6

      def findings = Circles.of(lines.map(&:endpoints)).map { |ids| circle(ids) }

      private

      # @param ids [Array<String>] of what leads to each other
      def circle(ids)
        within = lines.select { |line| line.endpoints.all? { |id| ids.include?(id) } }
        last = within.max_by(&:ordinal)
        from, to = last.endpoints.map { |id| set.element(id).name }
        finding(
          ids,
          told(ids),
          why,
          repair: repair("#{undoing} #{from} and #{to}", Change::Remove.new(id: last.id)),
          also: within.map(&:id)
        )
      end

      def told(ids)
        names = ids.map { |id| set.element(id).name }.sort
        return "#{names.first} #{words} itself" if names.one?

        more = names.length - MOST
        "#{English.list(more.positive? ? names.first(MOST) + ["#{more} more"] : names)} #{words_of_many} each other in a circle"
      end
    end
  end
end
