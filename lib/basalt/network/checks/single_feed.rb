# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A unit with several inlets that hang on one source of power.
      class SingleFeed < CableCheck
        rule "single-feed", :warning, reads: READS, each: "device", near: 2

        def about(unit)
          feeds = Cabling::CableEnds.of(set, unit.id).select { |one| one.cable["medium"] == "power" }
          return [] if feeds.empty?

          inlets = ports(unit).groups.select { |group| group.use == "inlets" }.sum(&:count)
          return [] if inlets < 2

          sources = feeds.flat_map { |one| one.others.map(&:target_id) }.uniq
          sources.one? ? [fed(unit, feeds, set.element(sources.first))] : []
        end

        private

        def fed(unit, feeds, source)
          finding(
            [unit.id, *feeds.map { |one| one.cable.id }],
            "#{unit.name} has its power from #{source.name} alone",
            "It has inlets for two sources; when #{source.name} fails, it goes dark all the same."
          )
        end
      end
    end
  end
end
