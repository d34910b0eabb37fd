# frozen_string_literal: true

module Basalt
  module Cloud
    # Draws what rules allow, as what they allow: what is taken is found again when they do not any more.
    class Taking
      # @param draft [Change::Draft]
      # @param sheet_id [String]
      def initialize(draft, sheet_id)
        @draft = draft
        @sheet_id = sheet_id
      end

      # @param id [String]
      # @param other [String] id of what reaches it or is reached; INTERNET for that
      # @param into [Boolean] whether the other one speaks
      # @return [String, nil] id of what was drawn; nil where nothing is allowed, or is drawn already
      def take(id, other, into:)
        other = internet if other == Services::INTERNET
        return unless @draft.element(other)

        from, to = into ? [other, id] : [id, other]
        traffic = allowed(from, to)
        return if traffic.empty? || known?(from, to)

        draw(from, to, traffic)
      end

      private

      # @return [Reach::Traffic]
      def allowed(from, to)
        scape = ModelLandscape.of(@draft)
        one, other = [from, to].map { |id| scape.interface(id) }
        return scape.analysis.reach(one, other) if one && other

        inner = other || one or return Reach::Traffic::NONE
        own = scape.analysis.party(inner)
        known, anybody = scape.analysis.outside.keys.partition { |party| party.around.length > 1 }
        [anybody, known].map { |outer| passing(scape, outer) { |party| one ? [own, party] : [party, own] } }.find(&:any?) || Reach::Traffic::NONE
      end

      # Parts of the internet that no rule names come first.
      def passing(scape, parties) = parties.map { |party| scape.analysis.between(*yield(party)).apart }.reduce(Reach::Traffic::NONE, :|)

      def known?(from, to) =
        @draft.relations_between(from, to, Kinds::CONNECTION).any? { |one| one.target("from") == from && one.target("to") == to }

      def draw(from, to, traffic)
        id = @draft.new_id
        facts = { "verb" => Verbs::PLAIN, "taken" => true, **said(traffic) }
        @draft.apply(Change::Add.new(kind: Kinds::CONNECTION, id:, facts:, ends: [["from", from], ["to", to]]))
        [from, to].each { |one| @draft.apply(Change::Show.new(sheet_id: @sheet_id, element_id: one)) unless @draft.shown?(@sheet_id, one) }
        id
      end

      # The first of its ports are said, where one range says it all; else they stand beside the line.
      def said(traffic)
        return {} if traffic == Reach::Traffic::ALL

        protocol, ports = traffic.to_s.split(";").first.split(" ", 2)
        one = traffic.ranges.one?
        one ? { "protocol" => protocol, "ports" => ports }.compact : { "label" => traffic.to_s[0, 120] }
      end

      def internet
        found = @draft.of_kind(Kinds::RESOURCE).find { |one| one["service"] == Services::INTERNET }
        return found.id if found

        id = @draft.new_id
        @draft.apply(Change::Add.new(kind: Kinds::RESOURCE, name: Services::INTERNET, facts: { "service" => Services::INTERNET }, id:))
        id
      end
    end
  end
end
