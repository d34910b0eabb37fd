# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # The subjects that an inventory may have.
      module Subjects
        THINGS =
          Subject.new(
            name: "things",
            words: {
              "name" => %w[name hostname host device thing asset node system machine],
              "role" => %w[role type kind function category],
              "subnet" => %w[subnet network net segment lan vlanname prefix],
              "address" => %w[address ip ipaddress ipv4 ipv6 ipv4address ipv6address addr],
              "gateway" => %w[gateway defaultgateway gw router],
              "location" => %w[location place room site where building],
              "note" => %w[note notes remark remarks comment comments description]
            },
            needs: ["name"],
            record: Record,
            notation: Notation::Logical::NAME
          )

        PORTS =
          Subject.new(
            name: "ports",
            words: {
              "unit" => %w[unit device thing host hostname switch node name asset],
              "ports" => %w[ports port interface interfaces portname label],
              "medium" => %w[medium media type kind],
              "speed" => %w[speed rate bandwidth],
              "connector" => %w[connector plug jack],
              "slot" => %w[slot card],
              "pluggable" => %w[pluggable module transceiver]
            },
            needs: %w[unit ports],
            record: PortRecord,
            notation: Notation::Physical::NAME
          )

        CABLES =
          Subject.new(
            name: "cables",
            words: {
              "from" => %w[from source fromdevice sourcedevice devicea adevice aend enda localdevice fromunit unita],
              "from port" => %w[fromport sourceport porta aport localport frominterface interfacea],
              "to" => %w[to target destination todevice targetdevice deviceb bdevice bend endb remotedevice tounit unitb],
              "to port" => %w[toport targetport destinationport portb bport remoteport tointerface interfaceb],
              "medium" => %w[medium media type kind cabletype],
              "speed" => %w[speed rate bandwidth],
              "length" => %w[length lengthinm lengthm metres],
              "label" => %w[label cable cableid cablelabel id],
              "bundle" => %w[bundle group],
              "circuit" => %w[circuit circuitid],
              "state" => %w[state status]
            },
            needs: %w[from to],
            record: CableRecord,
            notation: Notation::Physical::NAME
          )

        RACKS =
          Subject.new(
            name: "racks",
            words: {
              "name" => %w[rack rackname cabinet name],
              "location" => %w[location place room site where building],
              "height" => %w[height heightinunits units rackunits u size],
              "supply" => %w[supply supplyinw powersupply],
              "load" => %w[load loadinkg maxload bears],
              "position" => %w[position standsat xy],
              "note" => %w[note notes remark remarks comment comments]
            },
            needs: ["name"],
            record: RackRecord,
            notation: Notation::Rack::NAME
          )

        MOUNTINGS =
          Subject.new(
            name: "mountings",
            words: {
              "thing" => %w[thing device unitname hostname host asset equipment name],
              "role" => %w[role type kind function category],
              "rack" => %w[rack rackname cabinet],
              "unit" => %w[unit atunit u position lowestunit startunit rackunit],
              "height" => %w[height heightinunits units size],
              "power" => %w[power powerinw watts],
              "weight" => %w[weight weightinkg kg],
              "face" => %w[face side]
            },
            needs: %w[thing rack],
            record: MountingRecord,
            notation: Notation::Rack::NAME
          )

        ALL = [THINGS, PORTS, CABLES, RACKS, MOUNTINGS].freeze
        # Headings that only an inventory of things has.
        OF_THINGS = %w[role subnet address gateway location].freeze

        module_function

        # @return [Subject]
        # @raise [Mistake]
        def named(name) = ALL.find { |one| one.name == name } || raise(Mistake, "an inventory is of #{ALL.map(&:name).join(", ")}")

        # @param headings [Array<String>]
        # @return [Subject] what rows with these are most likely about
        def guess(headings)
          return CABLES if covers?(CABLES, headings)
          return covers?(MOUNTINGS, headings) ? MOUNTINGS : RACKS if racked?(headings)

          things = THINGS.guess(headings)
          covers?(PORTS, headings) && OF_THINGS.count { |field| things.key?(field) } < 2 && !things.key?("address") ? PORTS : THINGS
        end

        # A rack is named, and not only as a place among others.
        def racked?(headings)
          found = MOUNTINGS.guess(headings)
          found.key?("rack") && (!found.key?("thing") || found.key?("unit"))
        end

        def covers?(subject, headings) = subject.needs.all? { |field| subject.guess(headings).key?(field) }
      end
    end
  end
end
