# frozen_string_literal: true

module Basalt
  module Cloud
    module Checks
      # A rule that changes nothing: another says it already, or nothing is in its group.
      class RuleWithoutEffect < CloudCheck
        rule "rule-without-effect", :hint, reads: READS

        def findings
          members = set.of_kind("membership").map { |one| one.target("group") }.to_set
          set.of_kind(Kinds::RULE).group_by { |rule| rule.target("holder") }.flat_map do |holder_id, _|
            holder = set.element(holder_id)
            holder.kind == Kinds::GROUP && !members.include?(holder_id) ? [unused(holder)] : shadowed(holder)
          end
        end

        private

        def unused(group) =
          finding(group.id, "#{group.name} has rules, and nothing belongs to it", "Rules of nobody are read and kept up for nothing.")

        def shadowed(holder)
          all = Rules.of(set, holder.id)
          pairs = all.map { |rule| [rule, Rules.reach(rule)] }
          pairs.each_with_index.filter_map do |(rule, one), index|
            others = holder.kind == Kinds::GROUP ? pairs.first(index) + pairs.drop(index + 1) : pairs.first(index)
            wider = others.find { |other, wide| cover?(wide, one) && !(cover?(one, wide) && other.ordinal > rule.ordinal) }
            told(rule, wider.first) if wider
          end
        end

        def told(rule, wider)
          finding([rule.id, rule.target("holder")], "#{Rules.words(set, rule)} has no effect: #{Rules.words(set, wider)} comes first",
                  "Whoever reads it takes it for what decides.", repair: removal(rule, "Remove it"))
        end

        # Whatever one says something of, the other says something of too.
        def cover?(wide, one)
          wide.direction == one.direction && wide.traffic.cover?(one.traffic) && peer_covers?(wide.peer, one.peer)
        end

        def peer_covers?(wide, one)
          return true if wide.nil? || wide == one
          return false unless wide.is_a?(Addresses::Prefix)

          one.is_a?(Addresses::Prefix) && wide.contain?(one)
        end
      end
    end
  end
end
