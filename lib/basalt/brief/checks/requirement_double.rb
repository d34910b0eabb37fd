# frozen_string_literal: true

module Basalt
  module Brief
    module Checks
      # A requirement that asks for two things, or for what another asks for.
      class RequirementDouble < Basalt::Checks::Check
        rule "requirement-double", :hint, reads: %w[requirement]

        MOST = 5000
        # A word that so many have tells none of them apart.
        COMMON = 60

        def findings
          all = set.of_kind("requirement").select { |one| one["text"] && one["state"] != "dropped" }.first(MOST)
          all.select { |one| RequirementQuality.double?(one["text"]) }.map { |one| doubled(one) } + twins(all)
        end

        private

        def doubled(one)
          finding(one.id, "#{one.name} asks for two things", "One of them can be met while the other is not, and nobody could say so.")
        end

        # Only those that have a word in common are compared.
        def twins(all)
          words = all.to_h { |one| [one.id, RequirementQuality.words(one["text"])] }
          by_word =
            words.each_with_object(Hash.new { |table, word| table[word] = [] }) do |(id, list), table|
              list.each { |word| table[word] << id }
            end
          pairs = by_word.values.select { |ids| ids.length <= COMMON }.flat_map { |ids| ids.combination(2).to_a }.uniq
          pairs.select { |one, other| RequirementQuality.alike?(words[one], words[other]) }.map { |pair|
            twin(*pair.map { |id|
              set.element(id)
            })
          }
        end

        def twin(one, other)
          finding(
            [other.id, one.id],
            "#{other.name} says what #{one.name} says",
            "Two of the same are met twice, altered once.",
            repair: repair("Drop #{other.name}", Change::Set.new(id: other.id, fact: "state", value: "dropped"))
          )
        end
      end
    end
  end
end
