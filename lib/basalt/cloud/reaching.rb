# frozen_string_literal: true

module Basalt
  module Cloud
    # What may reach a thing, and what it may reach.
    class Reaching
      # +id+ is of a thing, nil for a part of the internet, which +block+ names (nil for all that no rule names); +sort+ is +:declared+,
      # +:rules+ or +:wide+; +traffic+ a Reach::Traffic, +connection_id+ of what declares it.
      Entry = Value.of(:id, :block, :sort, :traffic, :connection_id)

      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @param scape [ModelLandscape]
      def initialize(set, scape = ModelLandscape.of(set))
        @set = set
        @scape = scape
      end

      # @param id [String]
      # @return [Array<Entry>] who may speak to it
      def into(id) = declared(id, "to", "from") + found(id) { |own, other| [other, own] }

      # @return [Array<Entry>] to whom it may speak
      def out_of(id) = declared(id, "from", "to") + found(id) { |own, other| [own, other] }

      # @param from [Reach::Party]
      # @param to [Reach::Party]
      # @return [Symbol] +:wide+ where only rules let it pass that speak of anybody or of more than a whole network
      def sort(from, to)
        rules = @scape.analysis.filters.rules(to.group_ids).select { |rule| @scape.analysis.filters.applies?(rule, "in", from) }
        rules.empty? || rules.all? { |rule| wide?(rule, to) } ? :wide : :rules
      end

      private

      def analysis = @scape.analysis

      def declared(id, own, other)
        lines = @set.relations_of(id, Kinds::CONNECTION)
        lines.select { |one| one.target(own) == id && Verbs::DECLARED.include?(one["verb"]) }.map do |one|
          traffic = TrafficText.traffic(one["protocol"], one["ports"])
          Entry.new(id: one.target(other), sort: :declared, traffic:, connection_id: one.id)
        end
      end

      # @yieldreturn [Array(Reach::Party, Reach::Party)] who speaks to whom
      def found(id)
        interface = @scape.interface(id) or return []
        own = analysis.party(interface)
        inner = analysis.members.flat_map { |party, members| from_members(interface, members, *yield(own, party)) }
        outer = analysis.outside.keys.filter_map { |party| from_outside(party, *yield(own, party)) }
        outer + inner
      end

      def from_members(interface, members, from, to)
        passage = analysis.between(from, to)
        return [] if passage.apart.empty? && passage.together.empty?

        sort = sort(from, to)
        members.reject { |one| one.id == interface.id }.filter_map do |one|
          traffic = one.subnet_id == interface.subnet_id ? passage.together : passage.apart
          Entry.new(id: one.owner_id, sort:, traffic:) if traffic.any?
        end
      end

      def from_outside(party, from, to)
        traffic = analysis.between(from, to).apart
        return if traffic.empty?

        block = party.around.max_by(&:length)
        Entry.new(block: (block.to_s unless block.length.zero?), sort: sort(from, to), traffic:)
      end

      def wide?(rule, to)
        return rule.peer.nil? unless rule.peer.is_a?(Addresses::Prefix)

        prefixes = @scape.landscape.networks[to.network_id]&.prefixes.to_a
        rule.peer.length.zero? || prefixes.any? { |prefix| rule.peer.contain?(prefix) }
      end
    end
  end
end
