# frozen_string_literal: true

module Basalt
  module Network
    module Notation
      # Site maps: sites, and what carriers provide between them. What is in a site is drawn as the site, and all that joins two of
      # them as one line with the sum of its speeds.
      class SiteMap < Logical
        NAME = "site map"
        # Places that a map of sites shows.
        LEVELS = %w[country site building].freeze
        # A small picture of what is beneath, px.
        PICTURE_W = 150
        PICTURE_H = 94
        BESIDE = 8

        # @param pictures [Boolean] whether symbols show what they open into
        def initialize(pictures: false)
          super()
          @pictures = pictures
        end

        def name = NAME
        def band = "Context"
        def things = %w[place outside]
        def lines = %w[link]
        def draws?(element) = element.kind == "outside" || (element.kind == "place" && LEVELS.include?(element["level"]))
        def joins?(_thing) = true

        def draws_line?(set, relation)
          lines.include?(relation.kind) && relation.targets.uniq.length > 1 && !(set.respond_to?(:follower?) && set.follower?(relation))
        end

        def gathers? = true
        def holder(set, element) = element.owner_id || element.container_id || (Owners.of(set, element).first if element.kind == "device")
        def bundles? = true
        def bundle_name(_link) = "between"
        def pictures? = true
        def shown(view) = view&.fetch("pictures", nil) ? PICTURED : self

        def examples = ["site Alder House", "provider Northline", "Alder House to Northline, circuit 200M"]
        def chips = [%w[site s], %w[building b], %w[country c], %w[provider p], %w[internet i]]

        def size(set, thing)
          w, h = super
          pictured?(set, thing) ? [[w, PICTURE_W + (2 * BESIDE)].max, h + PICTURE_H + BESIDE] : [w, h]
        end

        # The second line of a slab.
        def line(set, thing)
          return super unless thing.kind == "place"

          held = Sites::Held.new(set, thing).words
          held.empty? ? thing.noun : held
        end

        def seam(thing) = thing.kind == "place" ? :tide : :graphite

        def thing_shapes(set, thing, placement)
          return super unless pictured?(set, thing)

          box = placement.box
          slab = super(set, thing, placement.with(h: box.h))
          glyph, rest = slab.partition { |shape| shape[0] == :glyph }
          raised = glyph.map { |one| Drawing::Shapes.glyph(one[1], one[2], box.y + 11) }
          rest + raised + [Drawing::Shapes.image(Drawing::OpeningSign::PICTURE + beneath(set, thing).first.sheet.id, picture(box))]
        end

        def labels(set, link)
          links = set.respond_to?(:bundle) ? set.bundle(link) : [link]
          words = Sites::Between.new(links).words
          words.empty? ? [] : [Drawing::Label.new(role: "middle", text: Drawing::Pens.fit(words, :label, 200))]
        end

        def line_shapes(set, link, route, _labels)
          links = set.respond_to?(:bundle) ? set.bundle(link) : [link]
          pens = links.any? { |one| one["circuit"] } ? %i[double between grip] : %i[line grip]
          pens.map { |pen| Drawing::Shapes.polyline(route, pen) }
        end

        def legend
          [["site, building or country", :seam, :tide, :tide],
           ["circuit", :shapes, PhysicalLegend::CIRCUIT, :circuit], ["link", :pen, :line, :link], ["assumed", :box, :assumed, :assumed]]
        end

        def marks(_set, element)
          return [element["circuit"] ? :circuit : :link] if element.kind == "link"

          [(:assumed if element.assumed), (:tide if element.kind == "place")].compact
        end

        def computed(set, element)
          return [] unless element.kind == "place"

          [["holds", Sites::Held.new(set, element).words]]
        end

        def computed_headings(kind) = kind == "place" ? ["holds"] : []

        private

        def picture(box)
          Layout::Box.new(x: box.x + ((box.w - PICTURE_W) / 2.0), y: box.bottom - PICTURE_H - BESIDE, w: PICTURE_W, h: PICTURE_H)
        end

        def pictured?(set, thing) = @pictures && beneath(set, thing).any?
        def beneath(set, thing) = set.opens?(thing.id) ? set.openings(thing.id).reject { |one| one.sheet.notation_name == NAME } : []

        PICTURED = new(pictures: true)
        private_constant :PICTURED
      end
    end
  end
end
