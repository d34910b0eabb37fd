# frozen_string_literal: true

module Basalt
  module Software
    module Derivation
      # From entities or tables to classes: what has to be added, altered and dropped for the classes to follow. Each class has a thread to
      # what it comes from; what a person altered stays as long as that did not become another.
      class ToClasses
        MARK = "data"

        # @param set [Model::WorkingSet, Change::Draft]
        # @param sources [Array<Model::Element>] entities or tables
        def initialize(set, sources)
          @set = set
          readers = [Entities, Tables].to_h { |type| [type::KIND, type.new(set)] }
          @drawn = sources.filter_map { |one| readers[one.kind]&.drawn(one) }
          @made = {}
        end

        # @return [Array<Change::Step>]
        def steps = @steps ||= classes + features + generals + lines

        # @param keys [Array<String>, nil] of the steps to take; nil for all but what would be dropped
        # @return [Change::Draft]
        def into(draft, keys: nil)
          taken = keys ? steps.select { |step| keys.include?(step.key) } : steps.reject { |step| step.act == :drop }
          taken.each { |step| step.apply(draft) }
          draft
        end

        # @return [Array<String>] ids of the classes that follow, once the steps are taken
        def class_ids = @drawn.filter_map { |one| at(@set, one.source_id)&.id || @made[one.source_id]&.id }

        private

        def step(act, words, why = nil, &change) = Change::Step.new(act:, key: "#{act} #{words}", words:, change:, why:)

        # @return [Model::Element, nil] the class that follows something
        def at(set, source_id)
          threads = UseCases::Threads.to(set, source_id).select { |one| one["verb"] == "comes from" }
          threads.map { |one| set.element(one.target("of")) }.find { |one| one.kind == "class" }
        end

        def known(source_id) = (@known ||= {}).fetch(source_id) { @known[source_id] = at(@set, source_id) }

        def classes
          @drawn.reject { |one| known(one.source_id) }.map do |one|
            step(:add, "class #{one.name}", "It comes from #{@set.element(one.source_id).name}.") { |draft| made(draft, one) }
          end
        end

        # A class of the name that is there already is the one.
        def made(draft, one)
          found = draft.named(one.name, "class").first
          element = found || Change::Add.new(kind: "class", name: one.name, external_id: MARK).apply(draft)
          one.features.each { |feature| add(draft, element, feature) } unless found
          draft.apply(UseCases::Threads.joining(draft, element.id, "comes from", one.source_id))
          @made[one.source_id] = element
        end

        def add(draft, owner, feature)
          facts = Classes::Facts.of(feature, "property").compact.merge("as_read" => feature.to_s)
          Change::Add.new(kind: "property", name: feature.name, facts:, owner_id: owner.id, external_id: MARK).apply(draft)
        end

        def features
          @drawn.select { |one| known(one.source_id) }.flat_map do |one|
            steps = Reverse::FeatureSteps.new(@set, known(one.source_id), one.features, MARK)
            steps.steps { |draft, owner, feature| add(draft, owner, feature) }
          end
        end

        def generals
          pairs = @drawn.flat_map { |one| one.generals.map { |general| [one.source_id, general] } }
          pairs.reject { |special, general| general?(special, general) }.filter_map do |special, general|
            next unless name(special) && name(general)

            step(:add, "#{name(special)} is a kind of #{name(general)}") do |draft|
              one, other = [special, general].map { |id| at(draft, id) }
              Change::Add.new(kind: "generalisation", ends: [["special", one.id], ["general", other.id]]).apply(draft) if one && other
            end
          end
        end

        def general?(special, general)
          one, other = known(special), known(general)
          one && other && Generalising.direct(@set, one.id).include?(other.id)
        end

        # What a class is called, or will be.
        def name(source_id) = known(source_id)&.name || @drawn.find { |one| one.source_id == source_id }&.name

        def lines
          @drawn.flat_map { |one| one.lines.map { |line| [one, line] } }.select { |_, line| name(line.other_id) }
            .reject { |one, line| line?(one, line) }
            .map do |one, line|
              words = "#{name(one.source_id)} is linked to #{[line.times, name(line.other_id)].compact.join(" ")} as #{line.role}"
              step(:add, words) { |draft| join(draft, one, line) }
            end
        end

        # A line is known by its role; an attribute of that name stands for it as well.
        def line?(one, line)
          here, there = known(one.source_id), known(line.other_id)
          return false unless here && there

          Classes::Featuring.attributes(@set, here.id).any? { |part| part.name == line.role } ||
            @set.relations_between(here.id, there.id, *Classes::Kinds::ASSOCIATIONS).any? do |relation|
              relation.ends.any? { |end_| end_.target_id == there.id && end_.facts["role"] == line.role }
            end
        end

        def join(draft, one, line)
          here, there = at(draft, one.source_id), at(draft, line.other_id)
          return unless here && there

          ends = [
            ["one", here.id, { "multiplicity" => line.back_times }.compact],
            ["other", there.id, { "multiplicity" => line.times, "role" => line.role }.compact]
          ]
          Change::Add.new(kind: "association", ends:, external_id: MARK).apply(draft)
        end
      end
    end
  end
end
