# frozen_string_literal: true

module Basalt
  module Network
    module Checks
      # A switch below a stack whose ways up are one, or end in the same member of it.
      class NotDualHomed < CableCheck
        rule "not-dual-homed", :warning, reads: READS, each: "device", near: 2

        def about(unit)
          return [] unless below?(unit)

          up = cables_up(unit)
          return [] if up.empty?
          return [one_way(unit, up.first)] if up.one?

          ends = up.map { |one| far(one) }
          ends.all?(&:last) && ends.map { |stack, port| [stack.id, port.member] }.uniq.one? ? [same_member(unit, up, *ends[0])] : []
        end

        private

        def below?(unit) = unit["role"] == "switch" && !stack?(unit)
        def stack?(unit) = unit&.kind == "device" && unit["role"] == "switch" && ports(unit).told_members > 1

        def cables_up(unit)
          Cabling::CableEnds.of(set, unit.id).select { |one| one.cable["medium"] != "power" && stack?(set.element(one.others.first&.target_id)) }
        end

        def far(one)
          other = one.others.first
          stack = set.element(other.target_id)
          [stack, port(other, ports(stack))]
        end

        def one_way(unit, only)
          stack, = far(only)
          finding(
            [unit.id, only.cable.id],
            "#{unit.name} has one way up, to #{stack.name}",
            "A cable pulled out or a member restarted takes everything behind it off the network.",
            repair: second(unit, stack, only.cable)
          )
        end

        def second(unit, stack, cable)
          pair = Cabling::NextFree.new(set, medium: cable["medium"], speed: cable["speed"]).pair(unit, stack) or return
          repair(
            "Cable #{unit.name} #{pair.one.label} to #{stack.name} #{pair.other.label}",
            Change::Add.new(
              kind: "link",
              facts: pair.facts,
              ends: pair.ends(unit.id, stack.id)
            )
          )
        end

        def same_member(unit, up, stack, port)
          moved = up.last
          finding(
            [unit.id, *up.map { |one| one.cable.id }],
            "All ways up of #{unit.name} end in member #{port.member} of #{stack.name}",
            "When that member restarts or fails, #{unit.name} is cut off, though another member runs.",
            repair: other_member(moved, stack, port)
          )
        end

        # The same number on another member, or whatever fits there.
        def other_member(moved, stack, port)
          ports = ports(stack)
          used = Cabling::CableEnds.of(set, stack.id).filter_map(&:label)
          found =
            (1..ports.members)
              .reject { |member| member == port.member }
              .flat_map { |member| [port.name, *port.group.names.each].map { |name| ports.port(port.group, name, member) } }
              .find { |candidate| !used.include?(candidate.label) } or return
          repair(
            "Move one to #{stack.name} #{found.label}",
            Change::SetEnd.new(id: moved.cable.id, role: moved.others.first.role, facts: { "port" => found.label })
          )
        end
      end
    end
  end
end
