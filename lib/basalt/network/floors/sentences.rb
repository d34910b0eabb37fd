# frozen_string_literal: true

module Basalt
  module Network
    module Floors
      # What is said of where things stand on a floor: +stands at 3.2/4+, +turned 90+, +measures 0.6/1+; of trays +along 0.5/1 8/1+; and of
      # cables +estimated 12m+.
      module Sentences
        STANDING = %w[place device].freeze

        SLOTS = {
          point: Statements::WordSlot.new(Point::WORD, "metres such as 3.2/4", quoted: false),
          points: PointsSlot.new,
          turn: Statements::WordSlot.new(/\A(90|180|270)\z/, "degrees such as 90", quoted: false),
          centimetres: Statements::WordSlot.new(/\A\d{1,4}cm\z/, "a height such as 240cm", quoted: false) { |text| text.to_i }
        }.freeze

        module_function

        def fact(kind, words, fact, slot, suffix = "")
          Statements::Quality.new(
            kind,
            "#{words} <#{fact.tr(" ", "_")}:#{slot}>",
            take: ->(context, element, said) { context.set(element.id, fact, said[fact.tr(" ", "_").to_sym]) },
            tell: ->(_unparser, element) { element[fact] ? [[words, "#{element[fact]}#{suffix}"]] : [] },
            clear: ->(context, element, _) { context.set(element.id, fact, nil) }
          )
        end

        QUALITIES = [
          fact(STANDING, "stands at", "position", "point"),
          fact(STANDING, "turned", "turned", "turn"),
          fact(STANDING, "measures", "extent", "point"),
          Statements::Quality.new(
            "tray",
            "in <container:thing(place)>",
            take: ->(context, tray, said) { context.set(tray.id, "container", said[:container].id) },
            tell: ->(unparser, tray) { tray.container_id ? [["in", unparser.thing(tray.container_id)]] : [] },
            clear: ->(context, tray, _) { context.set(tray.id, "container", nil) }
          ),
          fact("tray", "along", "along", "points"),
          fact("tray", "at height", "level", "centimetres", "cm"),
          fact("link", "estimated", "estimate", "length", "m")
        ].freeze

        FORMS = [
          Statements::Form.new(
            "<thing:thing(place|device)> stands at <position:point> [turned <turned:turn>]",
            retract: ->(context, said, _) { context.set(said[:thing].id, "position", nil) }
          ) do |context, said|
            %i[position turned].each { |fact| context.set(said[:thing].id, fact.to_s, said[fact]) if said[fact] }
            context.show(said[:thing])
          end
        ].freeze
      end
    end
  end
end
