# frozen_string_literal: true

module Basalt
  module Cloud
    # Sentences about what one thing does with another.
    module Connecting
      module_function

      # @param said [Hash] +from+, +to+, +qualities+
      # @param verb [String]
      def join(context, said, verb)
        from, to = said.values_at(:from, :to)
        raise Mistake, "#{from.name} cannot be joined to itself" if verb == Verbs::JOINED && from.id == to.id

        facts = { "verb" => verb, **traffic(said) }
        connection = known(context.draft, from, to, facts) ||
                     context.add(Kinds::CONNECTION, facts:, ends: [["from", from.id], ["to", to.id]])
        context.show(from, to)
        context.qualify(connection, said)
      end

      def tell(unparser, connection)
        qualities = Statements::Grammar.qualities(Kinds::CONNECTION).flat_map { |quality| quality.tell(unparser, connection) }
        from, to = connection.endpoints.first(2).map { |id| unparser.thing(id) }
        [unparser.say(from, connection["verb"] || Verbs::PLAIN, to,
                      *qualities.flat_map { |parts| [:comma, *parts] })]
      end

      # @return [String] without a full stop
      def words(set, connection)
        passes = TrafficText.words(connection["protocol"], connection["ports"])
        from, to = connection.endpoints.first(2).map { |id| set.element(id)&.name }
        [from, connection["verb"] || Verbs::PLAIN, to, *("by #{passes}" unless passes.empty?)].join(" ")
      end

      # @return [Hash{String => String}] protocol and ports, as far as they were said
      def traffic(said) = said.fetch(:qualities, []).filter_map { |_, values| values[:traffic] }.first || {}

      # The same two are joined again only by something else.
      def known(set, from, to, facts)
        set.relations_between(from.id, to.id, Kinds::CONNECTION).find do |one|
          one.target("from") == from.id && one.target("to") == to.id && (one["verb"] || Verbs::PLAIN) == facts["verb"] &&
            %w[protocol ports].all? { |fact| one[fact] == facts[fact] }
        end
      end
    end
  end
end
