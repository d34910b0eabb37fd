# frozen_string_literal: true

module Basalt
  module Software
    module Reverse
      # Brings the model in step with what was found in source code. What was brought in before is known by where it is nested and by its
      # name; what a person altered since stays as long as the code did not become another.
      class Intake
        SORTS = { interface: Classes::Kinds::INTERFACE, enumeration: Classes::Kinds::ENUMERATION }.freeze
        # How what came from code is marked.
        MARK = "code "
        KINDS = %w[package class].freeze

        # @param structure [Structure]
        # @param set [Model::WorkingSet, Change::Draft] what is there
        def initialize(structure, set)
          @structure = structure
          @set = set
          @plan = Plan.new(structure)
        end

        # @return [Array<Change::Step>] what has to be added, altered and dropped, in this order
        def steps = @steps ||= spaces + features + lines + gone

        # @param keys [Array<String>, nil] of the steps to take; nil for all but what would be dropped
        # @return [Change::Draft]
        def into(draft, keys: nil)
          taken = keys ? steps.select { |step| keys.include?(step.key) } : steps.reject { |step| step.act == :drop }
          taken.each { |step| step.apply(draft) }
          draft
        end

        private

        # @return [Hash{Array => Model::Element}] packages and classes by kind and path
        def known
          @known ||= @set.of_kind(*KINDS).to_h { |one| [[one.kind, path(one)], one] }
        end

        def path(element)
          above = element.container_id && @set.element(element.container_id)
          [*(path(above) if above && KINDS.include?(above.kind)), element.name]
        end

        def step(act, words, why = nil, &change) = Change::Step.new(act:, key: "#{act} #{words}", words:, change:, why:)

        def spaces
          @plan.spaces.reject { |space| known.key?(space.key) }.map do |space|
            step(:add, "#{space.noun} #{space.path.join("::")}") { |draft| made(draft, space) }
          end
        end

        def made(draft, space)
          element =
            Change::Add.new(
              kind: space.kind,
              name: space.path.last,
              facts: space.facts,
              container_id: space.container && at(draft, space.container)&.id,
              external_id: "#{MARK}#{space.key.join(" ")}"
            ).apply(draft)
          (@made ||= {})[space.key] = element
          space.found&.features&.each { |feature| add(draft, element, feature) } if space.kind == "class"
        end

        # What stands there for a kind and a path, whether it was there or is made by now.
        def at(draft, key) = (@made || {})[key] || known[key]&.then { |one| draft.element(one.id) }

        def add(draft, owner, feature)
          kind = Classes::Facts.kind(feature, owner)
          facts = Classes::Facts.of(feature, kind).compact
          facts = facts.merge("as_read" => feature.to_s) unless kind == "literal"
          Change::Add.new(kind:, name: feature.name, facts:, owner_id: owner.id, external_id: MARK).apply(draft)
        rescue Mistake
          # Two that the model cannot tell apart are one.
          nil
        end

        def features
          @plan.spaces.select { |space| space.kind == "class" && known.key?(space.key) }.flat_map do |space|
            steps = FeatureSteps.new(@set, known[space.key], space.found.features, MARK)
            steps.steps { |draft, owner, feature| add(draft, owner, feature) }
          end
        end

        def lines
          @plan.lines.reject { |line| line?(line) }.map do |line|
            step(:add, line.words) do |draft|
              ends = line.ends.map { |role, key| [role, at(draft, key)&.id] }
              facts = { "stereotype" => line.stereotype }.compact
              Change::Add.new(kind: line.kind, ends:, facts:, external_id: MARK).apply(draft) if ends.all?(&:last)
            end
          end
        end

        def line?(line)
          one, other = line.ends.map { |_, key| known[key] }
          return false unless one && other

          @set.relations_between(one.id, other.id, line.kind).any? do |relation|
            relation.endpoints == [one.id, other.id] && relation["stereotype"] == line.stereotype
          end
        end

        # What came from code and is there no more; packages last, as they hold the others.
        def gone
          planned = @plan.spaces.to_set(&:key)
          left = known.reject { |key, one| planned.include?(key) || !one.external_id.to_s.start_with?(MARK) }
          classes, packages = left.partition { |key, _| key.first == "class" }
          (classes + packages).sort_by { |key, _| -key.last.length }.map do |key, one|
            step(:drop, "#{one.noun} #{key.last.join("::")}", "It is not in the code any more.") { |draft| drop(draft, one) }
          end + lines_gone
        end

        def drop(draft, one)
          draft.contents_of(one.id).each { |inner| Change::Set.new(id: inner.id, fact: "container", value: nil).apply(draft) }
          draft.apply(Change::Remove.new(id: one.id)) if draft.element(one.id)
        end

        def lines_gone
          planned = @plan.lines.to_set { |line| [line.kind, line.stereotype, *line.ends.map { |_, key| known[key]&.id }] }
          read = @set.of_kind("generalisation", "realisation", "dependency").select { |one| one.external_id == MARK }
          read.reject { |one| planned.include?([one.kind, one["stereotype"], *one.endpoints]) }.map do |one|
            names = one.endpoints.map { |id| @set.element(id).name }
            step(:drop, "#{names.first} #{Plan::VERBS.fetch(one.kind)} #{names.last}", "The code says so no more.") do |draft|
              draft.apply(Change::Remove.new(id: one.id)) if draft.element(one.id)
            end
          end
        end
      end
    end
  end
end
