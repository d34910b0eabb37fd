# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # Several cables between the same two units that nobody made one link of: of those all but one stand idle, or they make a loop.
      class ParallelWithoutBundle < CableCheck
        rule "parallel-without-bundle", :hint, reads: READS, each: "link"

        def about(cable)
          return [] unless bundled?(cable)

          all = parallel(cable)
          return [] if all.length < 2 || all.first.id != cable.id || one_link?(all)

          bundle = free(cable)
          names = cable.targets.map { |id| set.element(id).name }
          [
            finding(
              all.map(&:id),
              "#{English.count(all.length, "cable")} between #{English.list(names)} are no bundle",
              "Unless they are made one link, all but one stand idle, or traffic runs in a loop.",
              repair: repair("Make them bundle #{bundle}", *all.map { |one| Change::Set.new(id: one.id, fact: "bundle", value: bundle) })
            )
          ]
        end

        private

        def one_link?(cables) = cables.first["bundle"] && cables.map { |one| one["bundle"] }.uniq.length == 1

        # Where both ends carry traffic of others.
        def bundled?(cable)
          cable["medium"] != "power" && cable["circuit"].nil? && cable.targets.uniq.length == 2 &&
            cable.targets.all? { |id| set.element(id)&.then { |unit| unit.kind == "device" && unit["role"] == "switch" } }
        end

        def parallel(cable)
          one, other = cable.targets
          set
            .relations_of(one, "link")
            .select { |near| near.ends.any? { |joined| joined.target_id == other } && near["medium"] != "power" && near["circuit"].nil? }
            .sort_by(&:ordinal)
        end

        # The first number that no bundle at either has.
        def free(cable)
          taken = cable.targets.flat_map { |id| set.relations_of(id, "link").filter_map { |link| link["bundle"] } }
          (1..).lazy.map { |number| "po#{number}" }.find { |name| !taken.include?(name) }
        end
      end
    end
  end
end
