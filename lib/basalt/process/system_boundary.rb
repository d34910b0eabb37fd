# frozen_string_literal: true

module Basalt
  module Process
    # Who is outside: whoever takes part and processes no information, as the activity table has
    # it. A person may decide otherwise, with a reason.
    class SystemBoundary
      # How somebody stands: +outside+ or not, and why in words; +decided+ where a person said so.
      Verdict = Value.of(:party_id, :outside, :why, :decided) { def outside? = outside }

      class << self
        def decide(context, party, standing, reason)
          context.set(party.id, "standing", standing)
          context.set(party.id, "decided", reason)
        end

        def tell(unparser, party)
          return [] unless party["decided"]

          [
            unparser.say(
              unparser.thing(party.id),
              party["standing"] == Kinds::OUTSIDER ? "is outside because" : "is inside because",
              party["decided"]
            )
          ]
        end
      end

      # @param activities [Array<Model::Element>] the rows of a table; all there are where it is nil
      def initialize(set, activities = nil)
        @set = set
        @activities = Acts.sorted(activities || set.of_kind("activity"))
      end

      # @return [Array<Verdict>] of everybody who takes part, in the order of their first rows
      def verdicts = parties.map { |party| of(party) }

      # @return [Array<Model::Element>] activities of a party, in their order
      def done_by(party_id) = by_doer.fetch(party_id, [])

      # @return [Verdict, nil] nil where the table does not name the party
      def of(party)
        does = done_by(party.id)
        gets = by_receiver.fetch(party.id, [])
        return if does.empty? && gets.empty?

        if party.kind == "party" && party["decided"]
          return Verdict.new(party_id: party.id, outside: party["standing"] == Kinds::OUTSIDER, why: party["decided"], decided: true)
        end

        processes = does.find { |one| one["processing"] }
        Verdict.new(
          party_id: party.id,
          outside: processes.nil?,
          why: processes ? "#{processes.name}, which processes information" : reason(does, gets),
          decided: false
        )
      end

      private

      # Activities by who does them, and by who gets what is given.
      def by_doer = @by_doer ||= @activities.group_by { |one| one.target("who") }
      def by_receiver = @by_receiver ||= @activities.group_by { |one| Acts.receiver(one) }

      def parties = @activities.flat_map { |one| [one.target("who"), Acts.receiver(one)].compact }.uniq.map { |id| @set.element(id) }

      def reason(does, gets)
        parts = [
          ("gives #{English.list(given(does))}" if given(does).any?),
          ("gets #{English.list(given(gets))}" if given(gets).any?)
        ].compact
        parts = [English.list(does.map(&:name).first(2))] if parts.empty?
        "#{English.list(parts)}; nothing it does processes information"
      end

      def given(rows) = rows.filter_map { |one| one["gives"] }.uniq.first(3).map { |name| "the #{name.sub(/\A(the|an?) /i, "")}" }
    end
  end
end
