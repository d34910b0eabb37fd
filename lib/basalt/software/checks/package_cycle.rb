# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # Packages that need each other.
      class PackageCycle < Basalt::Checks::Check
        rule "package-cycle",
             :warning,
             reads: %w[class package property operation association aggregation composition generalisation realisation dependency]

        MOST = 6

        def findings = Circles.of(analysis[Classes::PackageUses].pairs.keys).select { |ids| ids.length > 1 }.map { |ids| circle(ids) }

        private

        def circle(ids)
          uses = analysis[Classes::PackageUses].pairs.select { |pair, _| pair.all? { |id| ids.include?(id) } }
          words = uses.first(MOST).map { |(from, to), why| "#{name(from)} needs #{name(to)} (#{why})" }
          finding(
            ids,
            "#{English.list(ids.first(MOST).map { |id| name(id) }.sort)} need each other in a circle",
            "#{words.join("; ")}. None of them can be built, tested or given away without the others."
          )
        end

        def name(id) = set.element(id).name
      end
    end
  end
end
