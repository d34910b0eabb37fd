# frozen_string_literal: true

module Basalt
  module Network
    module Racks
      # What is said of racks and of what stands in them: +core-01 in R1 at U20+, +1U+, +rear+, +half depth+, +120W+, +9kg+.
      module Sentences
        SLOTS = {
          unit: Statements::WordSlot.new(/\AU\d{1,2}\z/, "a unit such as U20", quoted: false) { |text| text.delete_prefix("U").to_i },
          watts: Statements::WordSlot.new(/\A\d{1,7}W\z/, "a power such as 120W", stops: true, quoted: false) { |text| text.to_i },
          kilograms: Statements::WordSlot.new(/\A\d{1,6}kg\z/, "a weight such as 9kg", stops: true, quoted: false) { |text| text.to_i }
        }.freeze

        module_function

        def quality(...) = Statements::Quality.new(...)

        # A figure with its unit of measure behind it.
        def figure(kind, words, fact, slot, suffix)
          quality(
            kind,
            [*words, "<value:#{slot}>"].join(" "),
            take: ->(context, element, said) { context.set(element.id, fact, said[:value]) },
            tell: ->(_unparser, element) { element[fact] ? [[*words, "#{element[fact]}#{suffix}"]] : [] },
            clear: ->(context, element, _) { context.set(element.id, fact, nil) }
          )
        end

        # Whoever says in which place a thing is, and not at which unit, leaves that open.
        def stand(context, thing, said)
          place = said[:container]
          refuse_units(place) if said[:unit] && place["level"] != "rack"

          moved = context.draft.element(thing.id).container_id != place.id
          context.set(thing.id, "container", place.id)
          context.set(thing.id, "at unit", said[:unit]) if moved || said[:unit]
        end

        def refuse_units(place)
          raise Mistake, "#{place.name} is #{English.article(place.noun)} #{place.noun}: only in a rack is anything at a unit"
        end

        def told(unparser, thing)
          place = thing.container_id && unparser.set.element(thing.container_id)
          return [] unless place&.kind == "place"

          [["in", unparser.thing(place.id), *(["at", "U#{thing["at unit"]}"] if thing["at unit"])]]
        end

        def leave(context, thing)
          context.set(thing.id, "container", nil)
          context.set(thing.id, "at unit", nil)
        end

        # Of what is known, without its noun: +core-01 in R1 at U20, 2U+.
        FORMS = [
          Statements::Form.new(
            "<thing:thing(device)> in <container:thing(place)> [at <unit:unit>] {device}",
            retract: ->(context, said, _) { leave(context, said[:thing]) }
          ) do |context, said|
            stand(context, said[:thing], said)
            context.qualify(said[:thing], said)
            context.show(said[:thing])
          end
        ].freeze

        QUALITIES = [
          quality(
            "device",
            "in <container:thing(place)> [at <unit:unit>]",
            take: ->(context, thing, said) { stand(context, thing, said) },
            tell: ->(unparser, thing) { told(unparser, thing) },
            clear: ->(context, thing, _) { leave(context, thing) }
          ),
          figure("device", [], "height", "height", "U"),
          quality("device", "rear", fact: "rear"),
          quality("device", "half depth", fact: "half depth"),
          *%w[left right].map do |side|
            quality(
              "device",
              "#{side} half",
              take: ->(context, thing, _) { context.set(thing.id, "half", side) },
              tell: ->(_unparser, thing) { thing["half"] == side ? [[side, "half"]] : [] },
              clear: ->(context, thing, _) { context.set(thing.id, "half", nil) }
            )
          end,
          figure("device", [], "power", "watts", "W"),
          figure("device", [], "weight", "kilograms", "kg"),
          figure("place", ["supplies"], "supply", "watts", "W"),
          figure("place", ["bears"], "load", "kilograms", "kg")
        ].freeze
      end
    end
  end
end
