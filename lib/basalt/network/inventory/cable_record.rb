# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # One row of an inventory of cables: from a port of something that is known to a port of something else. What a schedule
      # writes is read so.
      class CableRecord
        STATES = {
          "planned" => /\Aplanned\z/,
          "laid" => /\A(laid|live|installed|connected|active|in use|done)\z/,
          nil => /\A(to be laid|open|new)\z/
        }.freeze
        UNDECIDED = Cabling::Schedule::UNDECIDED

        # @param values [Hash{String => String}] by field, trimmed
        # @param context [Statements::Context]
        def initialize(values, context)
          @values = values.reject { |_, value| value.empty? || value == "-" || value == UNDECIDED }
          @context = context
        end

        # @return [nil]
        # @raise [Mistake] saying why the row cannot be taken
        def take
          one, other = %w[from to].map { |end_of| thing(end_of) }
          said = { one:, one_port: port("from port"), other:, other_port: port("to port") }
          facts = facts()
          cable = known(said) || Links.add(@context, said)
          facts.each { |fact, value| @context.set(cable.id, fact, value) unless cable[fact] == value }
          @context.show(one, other)
          nil
        end

        private

        def thing(end_of)
          name = @values[end_of] or raise Mistake, "the row does not say where the cable goes #{end_of}"
          Named.joined(@context, name)
        end

        def port(field)
          text = @values[field] or return
          raise Mistake, "a port is one word, not “#{Model::Names.short(text, 30)}”" if text.match?(/[\s,;]/)

          text
        end

        # The same ends and ports; of several that of the label. Where a port is decided, one that has no label yet gets it.
        def known(said)
          decided = said[:one_port] || said[:other_port]
          labels = decided ? [@values["label"], nil].uniq : [@values["label"]]
          alike = labels.flat_map { |label| Links.same(@context.draft, said, label) }
          alike.find { |cable| decided || cable["label"] || cable["circuit"] == @values["circuit"] }
        end

        # The speed of a circuit may stand where that of a cable does.
        def facts
          circuit = @values["circuit"]
          {
            "medium" => @values["medium"]&.then { |text| Media.medium(text) },
            "speed" => @values["speed"]&.then { |text| Media.speed(text) },
            "length" => @values["length"]&.then { |text| Media.length(text) },
            "label" => @values["label"],
            "bundle" => @values["bundle"]&.tr(" ", "-"),
            "circuit" => circuit,
            **state
          }.compact
        end

        def state
          text = @values["state"] or return {}
          fact = STATES.find { |_, words| text.downcase.match?(words) } or
            raise Mistake, "“#{Model::Names.short(text, 30)}” is no state: planned, to be laid or laid"
          fact.first ? { fact.first => true } : {}
        end
      end
    end
  end
end
