# frozen_string_literal: true

module Basalt
  module Process
    # What flows from one to another.
    module Flowing
      module_function

      # @param said [Hash] +from+, +to+ (elements, or names of somebody outside) and the +name+ of what flows
      def join(context, said)
        from, to =
          said
            .values_at(:from, :to)
            .map do |one|
              one.is_a?(Model::Element) ? one : context.add("party", name: one.to_str, facts: { "standing" => Kinds::OUTSIDER })
            end
        name = Model::Names.clean(said[:name].to_str)
        flow =
          of(context.draft, from.id, to.id).find { |known| known.name == name } ||
          context.add("flow", name:, ends: [["from", from.id], ["to", to.id]])
        context.show(from, to)
        context.qualify(flow, said)
      end

      # @return [Array<Model::Element>] flows from one to another
      def of(set, from_id, to_id) =
        set.relations_between(from_id, to_id, "flow").select { |flow| flow.target("from") == from_id && flow.target("to") == to_id }

      def into(set, id) = set.relations_of(id, "flow").select { |flow| flow.target("to") == id }
      def out_of(set, id) = set.relations_of(id, "flow").select { |flow| flow.target("from") == id }

      def tell(unparser, flow)
        qualities = Statements::Grammar.qualities("flow").flat_map { |quality| quality.tell(unparser, flow) }
        [
          unparser.say(
            unparser.thing(flow.target("from")),
            "gives",
            unparser.name(flow.name),
            "to",
            unparser.thing(flow.target("to")),
            *qualities.flat_map { |parts| [:comma, *parts] }
          )
        ]
      end
    end
  end
end
