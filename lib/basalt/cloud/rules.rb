# frozen_string_literal: true

module Basalt
  module Cloud
    # What may pass to and from what is in a group, or into and out of the subnets that a list governs.
    module Rules
      ACTIONS = %w[allows denies].freeze
      DIRECTIONS = %w[in out].freeze
      # Between what passes and whom it is of.
      TOWARDS = { "in" => "from", "out" => "to" }.freeze
      ANYBODY = "anywhere"

      module_function

      # @param said [Hash] +holder+, +traffic+ (facts), +block+ or +peer+; of anybody without both
      def state(context, said, action, direction)
        check(said[:holder], action)
        facts = { "action" => action, "direction" => direction, **said[:traffic], **whom(said) }
        known = of(context.draft, said[:holder].id).find { |rule| same?(rule, facts, said[:peer]) }
        rule = known || add(context, said, facts)
        context.qualify(rule, said)
      end

      # @return [Array<Model::Element>] in their order
      def of(set, holder_id) =
        set.relations_of(holder_id, Kinds::RULE).select { |rule| rule.target("holder") == holder_id }
          .sort_by { |rule| [Change::Reorder.key(rule), rule.ordinal] }

      def withdraw(context, said, action, direction)
        facts = { "action" => action, "direction" => direction, **said[:traffic], **whom(said) }
        rule = of(context.draft, said[:holder].id).find { |one| same?(one, facts, said[:peer]) }
        context.draft.apply(Change::Remove.new(id: rule.id)) if rule
      end

      def tell(unparser, rule)
        passes = TrafficText.words(rule["protocol"], rule["ports"])
        qualities = Statements::Grammar.qualities(Kinds::RULE).flat_map { |quality| quality.tell(unparser, rule) }
        [unparser.say(unparser.thing(rule.target("holder")), "#{rule["action"]} #{rule["direction"]}",
                      passes.empty? ? TrafficText::EVERYTHING : passes, TOWARDS.fetch(rule["direction"]), peer(unparser, rule),
                      *qualities.flat_map { |parts| [:comma, *parts] })]
      end

      # @return [String] without a full stop
      def words(set, rule)
        passes = TrafficText.words(rule["protocol"], rule["ports"])
        peer = rule["block"] || (rule["anybody"] ? ANYBODY : set.element(rule.target("peer"))&.name)
        [set.element(rule.target("holder"))&.name, rule["action"], rule["direction"], passes.empty? ? TrafficText::EVERYTHING : passes,
         TOWARDS.fetch(rule["direction"]), peer].join(" ")
      end

      # @return [Reach::Rule]
      def reach(rule)
        Reach::Rule.new(id: rule.id, direction: rule["direction"], allows: rule["action"] != "denies",
                        traffic: TrafficText.traffic(rule["protocol"], rule["ports"]), peer: reach_peer(rule))
      end

      def check(holder, action)
        if holder.kind == Kinds::RESOURCE && holder["service"] != Services::LIST
          raise Mistake, "#{holder.name} is #{English.article(holder.noun)} #{holder.noun}: rules are of a group or an #{Services::LIST}"
        end
        raise Mistake, "#{holder.name} is a group, and what a group does not allow it keeps off: only an #{Services::LIST} denies" if
          action == "denies" && holder.kind == Kinds::GROUP
      end

      def whom(said) = said[:block] ? { "block" => said[:block] } : { "anybody" => (true unless said[:peer]) }.compact

      def same?(rule, facts, peer)
        return false unless peer.nil? || rule.target("peer") == peer.id

        %w[action direction protocol ports block anybody].all? { |fact| rule[fact] == facts[fact] }
      end

      def add(context, said, facts)
        # Where none was moved yet, all stand as they were made.
        moved = of(context.draft, said[:holder].id).any? { |rule| rule[Kinds::PLACE] }
        keys = moved ? of(context.draft, said[:holder].id).map { |rule| Change::Reorder.key(rule) } : []
        ends = [["holder", said[:holder].id], ["peer", (said[:peer] || said[:holder]).id]]
        context.add(Kinds::RULE, facts: moved ? facts.merge(Kinds::PLACE => Change::OrderKey.last(keys).to_s) : facts, ends:)
      end

      def peer(unparser, rule)
        return rule["block"] if rule["block"]

        rule["anybody"] ? ANYBODY : unparser.thing(rule.target("peer"))
      end

      def reach_peer(rule)
        return Addresses.prefix(rule["block"]) if rule["block"]

        rule["anybody"] ? nil : rule.target("peer")
      end
    end
  end
end
