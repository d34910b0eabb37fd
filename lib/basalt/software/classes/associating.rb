# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # Associations, aggregations and compositions: of two classes, with what is said at each end (UML 2.5.1, 11.5).
      module Associating
        VERBS = { "association" => "is linked to", "aggregation" => "gathers", "composition" => "is composed of" }.freeze

        module_function

        # @param said [Hash] +one+, +other+ and at the other end +times+ and +role+
        def join(context, kind, said)
          context.show(said[:one], said[:other])
          line = known(context.draft, kind, said) || context.add(kind, ends: ends(kind, said))
          facts = { "multiplicity" => said[:times], "role" => said[:role] }.compact
          context.draft.apply(Change::SetEnd.new(id: line.id, role: line.ends.last.role, facts:)) if facts.any?
          context.qualify(line, said)
        end

        # Two of a kind between the same classes differ by their roles or by what they are called.
        def known(set, kind, said)
          called = said.fetch(:qualities, []).filter_map { |_, values| values[:called] }.first
          set
            .relations_between(said[:one].id, said[:other].id, kind)
            .find do |line|
              line.endpoints == [said[:one].id, said[:other].id] && line.ends.last.facts["role"] == said[:role] && line["called"] == called
            end
        end

        def ends(kind, said)
          roles = Model::Catalogue.kind(kind).ends.keys
          [[roles[0], said[:one].id], [roles[1], said[:other].id]]
        end

        # @param back [Boolean] of the first end
        def set_end(context, line, facts, back:)
          line = context.draft.element(line.id)
          context.draft.apply(Change::SetEnd.new(id: line.id, role: (back ? line.ends.first : line.ends.last).role, facts:))
        end

        def tell(unparser, line)
          last = line.ends.last
          qualities = Statements::Grammar.qualities(line.kind).flat_map { |quality| quality.tell(unparser, line) }
          [
            unparser.say(
              unparser.thing(line.ends.first.target_id),
              VERBS.fetch(line.kind),
              *last.facts["multiplicity"],
              unparser.thing(last.target_id),
              *(["as", unparser.word(last.facts["role"])] if last.facts["role"]),
              *qualities.flat_map { |parts| [:comma, *parts] }
            )
          ]
        end
      end
    end
  end
end
