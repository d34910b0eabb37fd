# frozen_string_literal: true

module Basalt
  module Network
    # A logical sheet begun from a physical one: the same things, the subnets on which they stand, and where they stand on none,
    # one for each VLAN that they are plugged into, or for what hangs together by cables. Addresses stay open.
    class FirstSubnets
      # @param draft [Change::Draft]
      # @param sheet_id [String] of the physical sheet
      # @param to [String] id of the logical one
      def initialize(draft, sheet_id, to)
        @draft = draft
        @from = sheet_id
        @context = Statements::Context.new(draft, sheet_id: to)
        @segments = Cabling::Segments.new(draft)
      end

      # @return [Integer] how many things were put on a subnet
      def apply
        @context.show(*things, *units.flat_map { |unit| subnets_of(unit) }.uniq)
        of_vlans + of_segments
      end

      private

      attr_reader :draft

      # What only passes on, and has no address itself, is not seen on this level.
      def things = draft.things_on(@from).reject { |one| @segments.passes?(one.id) && subnets_of(one).empty? }
      def units = @units ||= draft.things_on(@from).select { |one| one.kind == "device" }
      def hosts = units.reject { |unit| @segments.passes?(unit.id) }

      def subnets_of(unit)
        draft.relations_of(unit.id, "attachment").map { |one| one.target("subnet") }.uniq.filter_map { |id| draft.element(id) }
      end

      # What is plugged in at a port with a VLAN of its own.
      def of_vlans
        hosts.sum do |host|
          vlans = @segments.cables(host.id).flat_map { |cable|
            cable.ends.select { |one|
              one.target_id != host.id && @segments.passes?(one.target_id)
            }
          }
          vlans.filter_map { |one| one.facts["vlan"] }.uniq.count { |vlan| put(host, of_vlan(vlan)) }
        end
      end

      def of_vlan(vlan)
        draft.elements.by(:fact, ["vlan", vlan]).select { |one| one.kind == "subnet" }.min_by(&:ordinal) ||
          @context.add("subnet", name: free_name("VLAN #{vlan}"), facts: { "vlan" => vlan }).tap { |made| @context.show(made) }
      end

      # What stands on no subnet though it is plugged in, by what it hangs together with.
      def of_segments
        bare = hosts.select { |host| subnets_of(host).empty? && @segments.cables(host.id).any? }
        parts = @segments.parts(hosts.select { |host| @segments.cables(host.id).any? }.map(&:id), nil)
        parts.sum { |part| join(part, bare.select { |host| part.include?(host.id) }) }
      end

      # Where all others of a part stand on one subnet, so do these.
      def join(part, bare)
        return 0 if bare.empty?

        known = part.flat_map { |id| subnets_of(draft.element(id)) }.uniq
        subnet = known.one? ? known.first : supposed(bare)
        bare.count { |host| put(host, subnet) }
      end

      def supposed(bare)
        made = @context.add("subnet", name: free_name("#{switch_of(bare.first)&.name || bare.first.name} segment"))
        draft.apply(Change::Set.new(id: made.id, fact: "assumed", value: true))
        draft.element(made.id).tap { |subnet| @context.show(subnet) }
      end

      def switch_of(host)
        @segments.cables(host.id).flat_map(&:targets).find { |id| id != host.id && @segments.passes?(id) }&.then { |id| draft.element(id) }
      end

      def free_name(name)
        known = ->(candidate) { draft.named(candidate, "subnet").any? }
        known.call(name) ? (2..).lazy.map { |number| "#{name} #{number}" }.find { |candidate| !known.call(candidate) } : name
      end

      # @return [Boolean] whether it was not there yet
      def put(host, subnet)
        return false if Attaching.of(draft, host, subnet).any?

        Attaching.attach(@context, { thing: host, subnet: })
        true
      end
    end
  end
end
