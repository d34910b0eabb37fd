# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # One row of an inventory of what is in racks: a thing, in which rack and at which unit. What is not known is made.
      class MountingRecord
        FACTS = { "height" => "height", "power" => "power", "weight" => "weight" }.freeze

        # @param values [Hash{String => String}] by field, trimmed
        # @param context [Statements::Context]
        def initialize(values, context)
          @values = values.reject { |_, value| value.empty? || value == "-" }
          @context = context
        end

        # @return [nil]
        # @raise [Mistake] saying why the row cannot be taken
        def take
          rack = rack()
          thing = thing()
          @context.set(thing.id, "container", rack.id)
          @context.set(thing.id, "at unit", figure("unit").delete_prefix("U")) if @values["unit"]
          FACTS.each { |field, fact| @context.set(thing.id, fact, figure(field)) if @values[field] }
          face(thing)
          @context.show(rack, thing)
          nil
        end

        private

        def figure(field) = @values[field].sub(/(?<=\d)\s*(U|W|kg)\z/i, "")

        def rack
          name = Model::Names.clean(@values["rack"] || raise(Mistake, "the row names no rack"))
          racks = @context.draft.named(name).select { |one| one.kind == "place" && one["level"] == "rack" }
          short = Model::Names.short(name, 40)
          raise Mistake, "there is no rack called “#{short}”: bring in the racks first" if racks.empty?
          raise Mistake, "there are #{racks.length} racks called “#{short}”" if racks.length > 1

          racks.first
        end

        def thing
          name = Model::Names.clean(@values["thing"] || raise(Mistake, "the row names no thing"))
          known = @context.draft.named(name, "device")
          raise Mistake, "there are #{known.length} devices called “#{Model::Names.short(name, 40)}”" if known.length > 1

          role = @values["role"] ? Roles.read(@values["role"]) : "device"
          known.first || @context.add("device", name:, facts: { "role" => role })
        end

        # What is told to be at one of the faces is of half depth.
        def face(thing)
          text = @values["face"]&.downcase or return
          raise Mistake, "a face is front or rear, not “#{Model::Names.short(text, 30)}”" unless %w[front rear back both].include?(text)
          return if text == "both"

          @context.set(thing.id, "half depth", true)
          @context.set(thing.id, "rear", text == "front" ? nil : true)
        end
      end
    end
  end
end
