# frozen_string_literal: true

module Basalt
  module Software
    module Reverse
      # How the features of a class that is there differ from those that were found.
      class FeatureSteps
        # @param owner [Model::Element] the class
        # @param features [Array<Features::Attribute, Features::Operation>] that were found
        # @param mark [String] of what came from there
        def initialize(set, owner, features, mark)
          @owner = owner
          @parts = Classes::Featuring.of(set, owner.id)
          @found = features
          @mark = mark
        end

        # @yieldparam draft [Change::Draft]
        # @yieldparam owner [Model::Element]
        # @yieldparam feature [Features::Attribute, Features::Operation] that is to be added
        # @return [Array<Change::Step>]
        def steps(&adding)
          left = @parts.dup
          found = @found.filter_map { |feature| compared(feature, left, adding) }
          found + left.select { |part| part.external_id == @mark }.map { |part| dropping(part) }
        end

        private

        def compared(feature, left, adding)
          part = match(feature, left) or return added(feature, adding)
          left.delete(part)
          altered(part, feature)
        end

        # By name and what it takes; a name that is there once is enough.
        def match(feature, left)
          wanted = [feature.name, feature.operation?, feature.static?]
          alike = left.select { |part| [part.name, part.kind == "operation", Classes::Facts.static?(part)] == wanted }
          alike.find { |part| Classes::Facts.feature(part) == feature } || (alike.first if alike.one?)
        end

        def step(act, words, why = nil, &change) =
          Change::Step.new(act:, key: "#{act} #{@owner.id} #{words}", words: "#{@owner.name}: #{words}", change:, why:)

        def added(feature, adding) = step(:add, feature.to_s) { |draft| adding.call(draft, draft.element(@owner.id), feature) }

        # What a person wrote stays as long as the code says what it said.
        def altered(part, feature)
          return if part.kind == "literal" || part["as_read"] == feature.to_s
          return if part["as_read"].nil? && Classes::Facts.feature(part) == feature

          step(:alter, "#{Classes::Facts.feature(part)} becomes #{feature}") do |draft|
            Classes::Respell.new(id: part.id, feature:).apply(draft)
            draft.apply(Change::Set.new(id: part.id, fact: "as_read", value: feature.to_s))
          end
        end

        def dropping(part)
          step(:drop, Classes::Facts.text(part), "It is no longer where it came from.") do |draft|
            draft.apply(Change::Remove.new(id: part.id)) if draft.element(part.id)
          end
        end
      end
    end
  end
end
