# frozen_string_literal: true

module Web
  module Families
    module Journeys
      module Presenters
        # What a journey needs and the sheet does not have: parts, and lines between parts.
        class Lacking
          Part = Basalt::Value.of(:name, :number, :noun)
          # Words for who comes from outside, and what those that keep something have in common.
          WHO = %w[outsider client actor].freeze
          KEEPS = /store/
          Line = Basalt::Value.of(:step_id, :number, :from, :to, :kinds)

          # @return [Array<String>] words that declare something there, those of what its notation is about first
          def self.nouns(sheet)
            kinds = sheet.notation.things.reject { |kind| Basalt::Model::Catalogue.kind(kind).figure }
            found = Basalt::Model::Catalogue.nouns.filter_map { |noun, (kind, _)| [kinds.index(kind.name), noun] if kinds.include?(kind.name) }
            found.sort_by.with_index { |(place, _), index| [place, index] }.map(&:last)
          end

          # @param walked [Basalt::Journeys::Survey::Walked]
          def initialize(set, sheet, walked)
            @set = set
            @sheet = sheet
            @walked = walked
          end

          def any? = parts.any? || lines.any?
          def nouns = @nouns ||= self.class.nouns(@sheet)

          # @return [Array<Part>] names with the first step that needs each
          def parts
            @parts ||= @walked.steps
              .flat_map { |step| absent(step).map { |name| Part.new(name:, number: step.number, noun: guess(name)) } }
              .uniq(&:name)
          end

          # @return [Array<Line>]
          def lines
            @lines ||= @walked.steps.select { |step| step.lines&.empty? && here?(step.from) && here?(step.to) }
              .uniq { |step| [step.from.id, step.to.id].sort }.map do |step|
                kinds = Basalt::Journeys::Joining.kinds(@set, step, @sheet.id)
                Line.new(step_id: step.element.id, number: step.number, from: step.from.name, to: step.to.name, kinds:)
              end
          end

          private

          # What it might be: a store where something is kept, or who walks.
          def guess(name)
            kept = @walked.steps.any? { |step| step.element.facts.values_at("reads", "writes").include?(name) }
            return nouns.find { |noun| noun.match?(KEEPS) } if kept

            nouns.find { |noun| WHO.include?(noun) } if name == @walked.journey["who"]
          end

          def absent(step)
            { "from" => step.from, "to" => step.to, "reads" => step.reads, "writes" => step.writes }
              .filter_map { |fact, part| step.element[fact] if step.element[fact] && !(part && here?(part)) }
          end

          def here?(part) = @set.shown?(@sheet.id, part.id) || @set.shown_within?(@sheet.id, part.id)
        end
      end
    end
  end
end
