# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # One row of an inventory becoming part of a model.
      class Record
        # @param values [Hash{String => String}] by field, trimmed
        # @param context [Statements::Context]
        def initialize(values, context)
          @values = values.reject { |_, value| value.empty? || value == "-" }
          @context = context
        end

        # @return [Array(String, String), nil] subnet's id and the address said to be its gateway
        # @raise [Mistake] saying why the row cannot be taken
        def take
          thing = thing()
          place(thing)
          @context.set(thing.id, "note", @values["note"]) if @values["note"]
          attach(thing)
        end

        private

        def draft = @context.draft

        def thing
          name = Model::Names.clean(@values["name"] || raise(Mistake, "the row has no name"))
          known = draft.named(name, "device")
          wanted = @values["role"] && Roles.read(@values["role"])
          raise Mistake, "there are #{known.length} devices called “#{name}” already" if known.length > 1

          device(name, known.first, wanted)
        end

        def device(name, known, wanted)
          if known && wanted && known["role"] != wanted
            raise Mistake,
                  "“#{name}” is #{English.article(known["role"])} #{known["role"]} already, not #{English.article(wanted)} #{wanted}"
          end

          (known || @context.add("device", name:, facts: { "role" => wanted || "device" })).tap { |device| @context.show(device) }
        end

        def place(thing)
          inner = Places.read(@context, @values["location"]) or return
          @context.set(thing.id, "container", inner.id)
        end

        def attach(thing)
          return unless @values["subnet"] || @values["address"]

          text, length = @values["address"].to_s.split("/", 2)
          subnet = Subnets.new(@context).find(@values["subnet"], text, length)
          refuse_second(thing, subnet, text)
          Attaching.attach(@context, { thing:, subnet:, address: text.to_s.empty? ? nil : text })
          gateway(thing, subnet)
        end

        # Another address on the same subnet would take the place of the first.
        def refuse_second(thing, subnet, text)
          held = Attaching.of(draft, thing, subnet).filter_map { |attachment| attachment["address"] }
          address = Attaching.completed(subnet, text.to_s.empty? ? nil : text)
          return if held.empty? || address.nil? || held.include?(address)

          raise Mistake, "“#{thing.name}” is on #{subnet.name} at #{held.first} already"
        end

        # The column says yes, or the address of the subnet's gateway.
        def gateway(thing, subnet)
          text = @values["gateway"] or return
          return subnet.id, Attaching.completed(subnet, text) if text.match?(/\A[.:\h]*[.:][.:\h]*\z/)

          flag = Model::Catalogue.kind("attachment").field("gateway").read(text)
          @context.set(Attaching.of(draft, thing, subnet).first.id, "gateway", flag) if flag
          nil
        end
      end
    end
  end
end
