# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # One row of an inventory of ports: a port of a unit that is known, or several by a pattern.
      class PortRecord
        # @param values [Hash{String => String}] by field, trimmed
        # @param context [Statements::Context]
        def initialize(values, context)
          @values = values.reject { |_, value| value.empty? || value == "-" }
          @context = context
        end

        # @return [nil]
        # @raise [Mistake] saying why the row cannot be taken
        def take
          unit = Named.unit(@context, @values["unit"] || raise(Mistake, "the row names no unit"))
          text = @values["ports"] || raise(Mistake, "the row names no port")
          @context.show(unit)
          known(unit, text) || add(unit, text)
          nil
        end

        private

        # What is there already says the same, or is told.
        def known(unit, text)
          port = Cabling::Ports.of(@context.draft, unit).find(text) or return
          said = facts.except(:pluggable, :slot).find { |fact, value| port.group[fact] && port.group[fact] != value }
          raise Mistake, "port #{text} of #{unit.name} is #{port.group[said[0]]} already, not #{said[1]}" if said

          true
        end

        def add(unit, text)
          group = Cabling::PortGroup.new(use:, names: Cabling::PortNames.read(name(unit, text)), **facts)
          @context.set(unit.id, "ports", Cabling::PortGroups.joined(unit["ports"], group))
          Cabling::Models.refuse_twice(@context.draft, @context.draft.element(unit.id))
        end

        # In a stack the same port is on every member, and told once.
        def name(unit, text)
          raise Mistake, "a port is one word or a pattern such as 1-24, not “#{Model::Names.short(text, 30)}”" if text.match?(/[\s,;]/)

          ports = Cabling::Ports.of(@context.draft, unit)
          return text unless ports.stacked?

          name, member, = Cabling::Numbering.of(@context.draft).read(text, member: true, slot: false)
          return text unless member
          raise Mistake, "#{unit.name} has #{ports.members} members: there is no member #{member}" if member > ports.members

          name
        end

        def use
          return "ports" unless medium == "power"

          @values["ports"].match?(/\A(in|ac)/i) ? "inlets" : "outlets"
        end

        def medium = @values["medium"]&.then { |text| Media.medium(text) }

        def facts
          slot = @values["slot"]&.then { |text| Integer(text, 10, exception: false) || raise(Mistake, "a slot is a number, not “#{text}”") }
          {
            medium: (medium unless medium == "power"),
            speed: @values["speed"]&.then { |text| Media.speed(text) },
            connector: @values["connector"]&.tr(" ", "-"),
            slot:,
            pluggable: @values["pluggable"] && yes?(@values["pluggable"]) ? true : nil
          }.compact
        end

        # The type of a module that is named there says so as well.
        def yes?(text) = !text.match?(/\A(no|n|false|0)\z/i)
      end
    end
  end
end
