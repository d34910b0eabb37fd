# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Cables keep their ports when these are called otherwise: when a stack grows or shrinks, and when a project numbers
      # its ports in another way.
      module Relabelling
        NAMED = 4

        module_function

        # @param draft [Change::Draft]
        # @param before [Model::Element] a unit
        # @param after [Model::Element]
        # @raise [Mistake] naming the cables that would be lost
        def unit(draft, before, after)
          return Models.units(draft, after).each { |one| model(draft, one, before, after) } if after.kind == Models::KIND

          numbering = Numbering.of(draft)
          models = Models.of(draft, after)
          relabel(draft, after, Ports.new(before, numbering, models), Ports.new(after, numbering, models))
        end

        # @param unit [Model::Element] that is of a model which was altered
        def model(draft, unit, before, after)
          numbering = Numbering.of(draft)
          now = Models.of(draft, unit)
          was = now.map { |one, slot| [one.id == after.id ? before : one, slot] }
          relabel(draft, unit, Ports.new(unit, numbering, was), Ports.new(unit, numbering, now))
        end

        # @param before [Model::Element] the project's rules
        def numbering(draft, before, after)
          old, now = [before, after].map { |rules| Numbering.new(rules["numbering"] || Numbering::USUAL) }
          draft.of_kind("device").each { |unit| relabel(draft, unit, Ports.of(draft, unit, old), Ports.of(draft, unit, now)) }
        end

        # @param unit [Model::Element] of which cards or the model were altered; one that moved to another slot takes its cables along
        def cards(draft, unit)
          was, now = [draft.base, draft].map { |set| Models.of(set, unit) }
          before, after = [was, now].map { |models| Ports.new(unit, Numbering.of(draft), models) }
          moved = moved_slots(*[was, now].map { |models| models.map { |model, slot| [model.id, slot] } })
          ends = CableEnds.of(draft, unit.id).select { |one| one.label && stood?(draft.base, one) }
          relabel_ends(draft, unit, ends, before) do |port|
            label = after.label(port.with(slot: moved.fetch(port.slot, port.slot)))
            label && after.find(label) && label
          end
        end

        # @return [Hash{Integer => Integer}] where the card of a slot is from now on
        def moved_slots(was, now)
          came = now - was
          # Of several alike each goes to a slot of its own.
          (was - now).to_h do |model, slot|
            at = slot && came.index { |one, to| one == model && to }
            [slot, at ? came.delete_at(at).last : slot]
          end
        end

        def stood?(base, one)
          base.element(one.cable.id)&.ends&.any? { |known| known.role == one.role && known.facts["port"] == one.label }
        end

        def relabel(draft, unit, before, after)
          relabel_ends(draft, unit, CableEnds.of(draft, unit.id).select(&:label), before) { |port| after.label(port) }
        end

        # @param before [Ports] as they were
        # @yieldparam port [Port]
        # @yieldreturn [String, nil] what it is called from now on; nil where it is no more
        def relabel_ends(draft, unit, ends, before)
          named = ends.filter_map { |one| before.find(one.label)&.then { |port| [one, yield(port)] } }
          lost = named.select { |_, label| label.nil? }
          raise Mistake, refusal(draft, unit, lost.map(&:first)) if lost.any?

          named.each do |one, label|
            draft.apply(Change::SetEnd.new(id: one.cable.id, role: one.role, facts: { "port" => label })) unless label == one.label
          end
        end

        def refusal(draft, unit, lost)
          cables =
            lost.first(NAMED).map { |one| "#{one.label} to #{one.others.map { |other| draft.element(other.target_id).name }.join}" }
          cables << "#{lost.length - NAMED} more" if lost.length > NAMED
          "#{unit.name} would lose #{English.count(lost.length,
                                                   "cable")}, from #{English.list(cables)}: take #{lost.one? ? "it" : "them"} off first"
        end
      end
    end
  end
end
