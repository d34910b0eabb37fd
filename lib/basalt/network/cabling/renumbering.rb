# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # Cables that change their ports: those of two ports swapped, or a block of ports shifted along.
      module Renumbering
        module_function

        # @param said [Hash] +one+, +one_port+, +other+, +other_port+
        # @raise [Mistake] where one of the two is no port
        def swap(context, said)
          draft = context.draft
          places = [[said[:one], said[:one_port]], [said[:other], said[:other_port]]]
          places.each { |unit, label| known(draft, unit, label) }
          ends = places.map { |unit, label| at(draft, unit, label) }
          raise Mistake, "nothing is plugged in at either of the two" if ends.all?(&:empty?)

          ends.zip(places.reverse).each { |moved, (unit, label)| moved.each { |one| put(draft, one, unit.id, label) } }
        end

        # @param said [Hash] +unit+, +ports+ as a range of labels, +by+ how many
        # @raise [Mistake] where a port does not exist, or is taken by a cable that is not moved along
        def shift(context, said)
          draft = context.draft
          ports = Ports.of(draft, said[:unit])
          first, last = range(ports, said[:ports])
          names = first.group.names
          from, to = [first, last].map { |port| names.index(port.name) }
          moved = (from..to).flat_map { |index| shifted(draft, ports, first, index, said[:by]) }
          raise Mistake, "nothing is plugged in at #{first.label} to #{last.label} of #{said[:unit].name}" if moved.empty?

          refuse_taken(draft, said[:unit], moved)
          moved.each { |one, label| put(draft, one, said[:unit].id, label) }
        end

        # @return [Array<Array(CableEnds::End, String)>] what is plugged in at the port, and where it comes to
        def shifted(draft, ports, first, index, by)
          port = ->(at) { ports.port(first.group, first.group.names.at(at), first.member) }
          ends = at(draft, ports.unit, port.(index).label)
          return [] if ends.empty?
          raise Mistake, "#{ports.unit.name} has no port #{by.positive? ? "behind" : "before"} #{port.(index).label} to shift to" unless
            (index + by).between?(0, first.group.count - 1)

          ends.map { |one| [one, port.(index + by).label] }
        end

        def refuse_taken(draft, unit, moved)
          going = moved.map { |one, _| [one.cable.id, one.role] }
          taken = moved.map(&:last).find { |label| at(draft, unit, label).any? { |one| !going.include?([one.cable.id, one.role]) } }
          raise Mistake, "#{unit.name} #{taken} is taken by a cable that is not shifted along" if taken
        end

        # A hyphen may be part of a label too.
        #
        # @return [Array(Port, Port)]
        def range(ports, text)
          whole = ports.find(text) and return [whole, whole]
          cuts = (1...(text.length - 1)).select { |at| text[at] == "-" }
          pairs = cuts.map { |at| [text[0...at], text[(at + 1)..]].map { |one| ports.find(one) } }
          first, last = pairs.find { |pair| pair.all? && pair.map { |port| [port.group, port.member] }.uniq.one? }
          raise Mistake, "“#{Model::Names.short(text)}” is no run of ports of #{ports.unit.name}, such as 1-4" unless first

          names = first.group.names
          names.index(first.name) <= names.index(last.name) ? [first, last] : [last, first]
        end

        def known(draft, unit, label)
          ports = Ports.of(draft, unit)
          return if !ports.known? || ports.find(label) || at(draft, unit, label).any?

          raise Mistake, "#{unit.name} has no port #{Model::Names.short(label)}"
        end

        def at(draft, unit, label) = CableEnds.of(draft, unit.id).select { |one| one.label == label }

        def put(draft, one, unit_id, label)
          draft.apply(Change::Rejoin.new(id: one.cable.id, role: one.role, target_id: unit_id)) unless one.unit_id == unit_id
          draft.apply(Change::SetEnd.new(id: one.cable.id, role: one.role, facts: { "port" => label }))
        end
      end
    end
  end
end
