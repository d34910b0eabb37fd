# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # One row of an inventory of racks: a rack, where it is, and what it takes.
      class RackRecord
        # Fields of a row and the facts that they are.
        FACTS = { "height" => "height", "supply" => "supply", "load" => "load", "position" => "position", "note" => "note" }.freeze

        # @param values [Hash{String => String}] by field, trimmed
        # @param context [Statements::Context]
        def initialize(values, context)
          @values = values.reject { |_, value| value.empty? || value == "-" }
          @context = context
        end

        # @return [nil]
        # @raise [Mistake] saying why the row cannot be taken
        def take
          name = Model::Names.clean(@values["name"] || raise(Mistake, "the row names no rack"))
          room = Places.read(@context, @values["location"])
          rack = known(name, room) || @context.add("place", name:, facts: { "level" => "rack" }, container_id: room&.id)
          FACTS.each { |field, fact| @context.set(rack.id, fact, figure(field)) if @values[field] }
          @context.show(rack)
          nil
        end

        private

        # A unit of measure behind a figure is left out.
        def figure(field) = field == "note" ? @values[field] : @values[field].sub(/(?<=\d)\s*(U|W|kg|m)\z/i, "")

        def known(name, room)
          racks = @context.draft.named(name).select { |one| one.kind == "place" && one["level"] == "rack" }
          racks = racks.select { |rack| rack.container_id == room.id } if room
          raise Mistake, "there are #{racks.length} racks called “#{Model::Names.short(name, 40)}”: say in which room" if racks.length > 1

          racks.first
        end
      end
    end
  end
end
