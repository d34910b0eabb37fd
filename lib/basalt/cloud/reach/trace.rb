# frozen_string_literal: true

module Basalt
  module Cloud
    module Reach
      # What one asks of another from step to step, up to the first that stops it.
      class Trace
        # +what+ is the sort of step: +:out_rules+, +:in_rules+, +:route+, +:route_back+, +:list_out+, +:list_in+, +:answer_out+,
        # +:answer_in+, +:gateway+, +:open+ or +:version+. +holder_id+ is of what decides (a list, a table, a gateway, the interface;
        # nil where several groups or nothing known do), +rule_id+ of the rule that lets it pass or keeps it off, if one does.
        Step = Value.of(:what, :passes, :holder_id, :rule_id, :way)

        # @param analysis [Analysis]
        # @param from [Party]
        # @param to [Party]
        # @param number [Integer] what is asked (see Traffic.number)
        # @param together [Boolean] whether both are in one subnet
        def initialize(analysis, from, to, number, together: false)
          @analysis = analysis
          @from = from
          @to = to
          @number = number
          @together = together
          @path = Path.new(analysis, from, to)
        end

        # @return [Array<Step>] the last is the one that stops it, where one does
        def steps
          @steps ||= begin
            found = []
            candidates.each do |step|
              found << step.call
              break unless found.last.passes
            end
            found
          end
        end

        def passes? = steps.all?(&:passes)

        private

        # Each is looked at when those before it let it pass.
        def candidates
          return [-> { Step.new(what: :version, passes: false) }] unless @from.version == @to.version

          [*(-> { grouped(:out_rules, @from, "out", @to) } if @from.group_ids.any?), *(between unless @together),
           *(-> { grouped(:in_rules, @to, "in", @from) } if @to.group_ids.any?), *(back unless @together)]
        end

        def between
          [*(-> { opened } if @from.outside? || @to.outside?), -> {
            routed
          }, *crossing(:list_out, @from, "out", @to), *crossing(:list_in, @to, "in", @from)]
        end

        def back = [*answer(:answer_out, @to, "out", @from), *answer(:answer_in, @from, "in", @to), *translated]

        # What the rule groups of a party say.
        def grouped(what, party, direction, peer)
          rule = rules(@analysis.filters.rules(party.group_ids), direction, peer).first
          Step.new(what:, passes: !rule.nil?, rule_id: rule&.id)
        end

        def crossing(what, party, direction, peer)
          return [] unless party.list_id

          [-> { listed(what, party.list_id, direction, peer, @number) }]
        end

        def listed(what, list_id, direction, peer, number)
          rule = rules(@analysis.landscape.lists.fetch(list_id).rules, direction, peer, number).first
          Step.new(what:, passes: !rule.nil? && rule.allows, holder_id: list_id, rule_id: rule&.id)
        end

        # The answer may come to any port from which it was asked.
        def answer(what, party, direction, peer)
          return [] unless party.list_id

          [-> {
            passes = @analysis.filters.listed(party.list_id, direction, peer).answered.include?(@number)
            Step.new(what:, passes:, holder_id: party.list_id)
          }]
        end

        # Where addresses are translated the lists there have a say too.
        def translated
          way = @path.gateway if @to.outside?
          return [] unless way && way.sort == "translation"

          [-> { Step.new(what: :gateway, passes: @path.traffic.include?(@number), holder_id: way.id) }]
        end

        def opened
          inner = @from.outside? ? @to : @from
          translating = @to.outside? && @path.gateways.any? { |one| one.sort == "translation" }
          Step.new(what: :open, passes: inner.open || translating)
        end

        def routed
          return outward if @from.outside? || @to.outside?

          forward = @analysis.routing.ways(@from, @to)
          joint = @path.joints.first
          table = @from.table_id
          return Step.new(what: :route, passes: true, holder_id: table, way: joint) if joint
          return Step.new(what: :route, passes: false, holder_id: table, way: forward.first) if forward.empty? || !ends_there?(forward)

          Step.new(what: :route_back, passes: false, holder_id: @to.table_id)
        end

        def ends_there?(ways)
          ways.any? do |way|
            peering = @analysis.landscape.peerings[way]
            way == Routing::LOCAL || peering&.network_ids&.include?(@to.network_id)
          end
        end

        def outward
          inner = @from.outside? ? @to : @from
          gateway = @path.gateway
          Step.new(what: :gateway, passes: !gateway.nil?, holder_id: gateway&.id || inner.table_id, way: gateway&.id)
        end

        def rules(list, direction, peer, number = @number)
          list.select { |rule| @analysis.filters.applies?(rule, direction, peer) && rule.traffic.include?(number) }
        end
      end
    end
  end
end
