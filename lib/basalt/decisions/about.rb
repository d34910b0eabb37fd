# frozen_string_literal: true

require "digest"

module Basalt
  module Decisions
    # What decisions are about, and whether that is still what it was then.
    module About
      K = Kinds
      BETWEEN = "; "
      # What is kept of something that was another when it was said that a decision is about it.
      OTHERWISE = "otherwise"
      # What does not make something another thing.
      REMARKS = %w[note thread].freeze
      # Between what is condensed and the ids of where something stands and of what it joins, which are others in a copy of the project.
      PLACES = "/"

      module_function

      # @return [Array<Model::Element>] relations, one for each thing that a decision is about
      def of(set, decision_id) = set.relations_of(decision_id, K::CONCERNS).select { |one| one.target("decision") == decision_id }

      # @return [String] what something is called
      def title(set, id)
        one = set.element(id)
        return one.endpoints.map { |end_id| set.element(end_id)&.name }.join(" – ") if one.relation?

        one.name || Families.title(set, one) || one.kind
      end

      # @return [Array<Model::Element>] decisions about something, the newest first; those that were replaced behind the others
      def decisions(set, id)
        found = set.relations_of(id, K::CONCERNS).select { |one| one.target("thing") == id }.map { |one| set.element(one.target("decision")) }
        found.uniq(&:id).sort_by { |one| [replaced(set, one.id).any? ? 1 : 0, -one.ordinal] }
      end

      # @return [Array<Model::Element>] the decisions that replace one
      def replaced(set, id) =
        set.relations_of(id, K::REPLACES).select { |one| one.target("earlier") == id }.map { |one| set.element(one.target("decision")) }

      # @return [Array<Model::Element>] those that one replaces
      def earlier(set, id) =
        set.relations_of(id, K::REPLACES).select { |one| one.target("decision") == id }.map { |one| set.element(one.target("earlier")) }

      # @return [Boolean] whether a decision stands: it was not rejected, and none replaces it
      def stands?(set, decision) = decision["status"] != "rejected" && replaced(set, decision.id).empty?

      # @return [Array] changes; none where it is said already
      def concerning(set, decision_id, thing_id)
        raise Mistake, "a decision is not about itself" if decision_id == thing_id
        return [] if of(set, decision_id).any? { |one| one.target("thing") == thing_id }

        facts = { "as_decided" => state(set, set.element(thing_id)) }
        [Change::Add.new(kind: K::CONCERNS, facts:, ends: [["decision", decision_id], ["thing", thing_id]])]
      end

      # @return [String] what a thing is, condensed: another when it becomes another, and the same when it is called otherwise
      def state(set, thing)
        parts = set.parts_of(thing.id).map { |part| [part.kind, part.name, facts(part)] }
        condensed = Digest::SHA256.hexdigest([thing.kind, facts(thing), parts].inspect)[0, 24]
        [condensed, thing.container_id || "-", *thing.targets].join(PLACES)
      end

      def facts(element) = element.facts.reject { |fact, _| REMARKS.include?(fact) || element.description.fields[fact]&.internal }.sort

      # @param relation [Model::Element] by which a decision is about something
      def altered?(set, relation) =
        !relation["as_decided"].nil? && relation["as_decided"] != state(set, set.element(relation.target("thing")))

      # What a decision was about and is no longer there is kept by its name.
      #
      # @param draft [Change::Draft] all that an act does
      def settle(draft)
        return unless draft.base.elements.any_by?(:kind, K::CONCERNS)

        draft.elements.differences.each do |_, before, after|
          next unless after.nil? && before.kind == K::CONCERNS && draft.element(before.target("thing")).nil?

          remember(draft, before.target("decision"), draft.base.element(before.target("thing")))
        end
      end

      def remember(draft, decision_id, thing)
        decision = draft.element(decision_id) or return
        known = decision["gone"].to_s.split(BETWEEN)
        words = title(draft.base, thing.id)
        draft.apply(Change::Set.new(id: decision_id, fact: "gone", value: (known | [words.tr(";", ",")]).join(BETWEEN)))
      end
    end
  end
end
