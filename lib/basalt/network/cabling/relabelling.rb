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

        def relabel(draft, unit, before, after)
          ends = CableEnds.of(draft, unit.id).select(&:label)
          named = ends.filter_map { |one| before.find(one.label)&.then { |port| [one, after.label(port)] } }
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
