# frozen_string_literal: true

module Web
  module Families
    module Decisions
      module Presenters
        # All decisions of a project, the newest first.
        class DecisionsPage
          Core = Basalt::Decisions
          Row = Basalt::Value.of(:name, :choice, :reason, :question, :signed, :options, :things, :gone, :past)
          Thing = Basalt::Value.of(:id, :title, :sheet_id, :otherwise)

          def initialize(set)
            @set = set
          end

          def empty? = rows.empty?

          # @return [Array<Row>]
          def rows = @rows ||= @set.of_kind(Core::Kinds::DECISION).reverse.map { |one| row(one) }

          private

          def row(one)
            replaced = Core::About.replaced(@set, one.id).map(&:name)
            status = replaced.any? ? "replaced by #{Basalt::English.list(replaced)}" : one["status"]
            Row.new(name: one.name, choice: one["choice"], reason: one["reason"], question: one["question"],
                    signed: [status, one["dated"], one["who"]].compact.join(", "), options: @set.parts_of(one.id), things: things(one),
                    gone: one["gone"].to_s.split(Core::About::BETWEEN),
                    past: !Core::About.stands?(@set, one))
          end

          def things(one)
            Core::About.of(@set, one.id).map { |relation| thing(relation, @set.element(relation.target("thing"))) }
          end

          def thing(relation, element) =
            Thing.new(id: element.id, title: Core::About.title(@set, element.id), sheet_id: sheet(element),
                      otherwise: Core::About.altered?(@set, relation))

          # A line is drawn where what it joins stands.
          def sheet(thing)
            ids = thing.relation? ? thing.endpoints.map { |id| @set.sheets_of(id) }.reduce(:&) : @set.sheets_of(thing.id)
            ids.first
          end
        end
      end
    end
  end
end
