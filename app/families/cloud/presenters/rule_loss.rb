# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # What does not work any more, and what does, when a rule goes.
        class RuleLoss
          MOST = 30
          Core = Basalt::Cloud

          def initialize(set, rule)
            @set = set
            @rule = rule
            @scape = Core::ModelLandscape.of(set)
          end

          def words = Core::Rules.words(@set, @rule)

          # @return [Array<String>]
          def lines = all.first(MOST)
          def more = [all.length - MOST, 0].max

          private

          def all
            @all ||= Core::Reach::Difference.new(@scape.analysis, @scape.landscape.without(@rule.id)).all.flat_map do |one|
              [*told(one, one.lost, "no longer reaches"), *told(one, one.won, "then reaches")]
            end
          end

          def told(one, traffic, verb) = traffic.empty? ? [] : ["#{names(one.from)} #{verb} #{names(one.to)} by #{traffic}"]

          def names(party)
            return Core::Services::INTERNET if party.outside?

            members = @scape.analysis.members.fetch(party).map { |one| @set.element(one.owner_id).name }
            members.length > 3 ? "#{members.first(2).join(", ")} and #{members.length - 2} more" : members.join(", ")
          end
        end
      end
    end
  end
end
