# frozen_string_literal: true

module Web
  module Families
    module Brief
      module Presenters
        # A source: its text with what was marked in it, and the form that marks more.
        class SourcePage
          # A phrase as the margin tells it; +things+ with the sheet that each is on.
          Phrase = Basalt::Value.of(:id, :quote, :became, :gone, :note, :as, :things)
          # A piece of a line that was marked, and as what.
          Mark = Basalt::Value.of(:phrase_id, :face, :element_id, :title)
          # Names that are proposed for what a phrase is about, and phrases that are told, at most.
          MOST_NAMES = 400
          MOST_PHRASES = 300
          # What no phrase is about.
          OWN = %w[phrase source].freeze
          MARKING = Basalt::Brief::Marking
          private_constant :MOST_NAMES, :MOST_PHRASES, :OWN, :MARKING

          # @param shown [Basalt::Brief::SourceView]
          # @param part [Integer] of the text
          # @param sheet_id [String, nil] of the sheet that stands beside it
          def initialize(set, source, phrases, shown, part, sheet_id)
            @set = set
            @source = source
            @phrases = phrases
            @shown = shown
            @part = part
            @on = sheet_id
          end

          attr_reader :source, :part, :on

          def id = @source.id
          def name = @source.name
          def about = [@source["origin"], @source["dated"], "version #{@source["version"] || 1}"].compact.join(", ")
          def share = @shown.share
          def empty? = @shown.empty?
          def origin = @source["origin"]
          def dated = @source["dated"]

          # @return [Array<Phrase>] those whose words are different in the newest version, and the others
          def changed = @changed ||= told(@phrases.select { |phrase| phrase["became"] })
          def standing = told(untouched)
          def standing_count = untouched.length

          # @return [Integer] parts of the text
          def parts = @shown.parts.length

          # @return [Array] lines with +at+, +fresh+ and +pieces+
          def lines = @shown.lines(@part)

          # @return [Mark, nil] what the last phrase that a piece belongs to is
          def mark(piece)
            phrase = piece.phrases.last or return
            things = MARKING.things(@set, phrase.id)
            face = "as-#{phrase["as"].to_s.tr(" ", "-")}#{" altered" if phrase["became"]}"
            title = [phrase["as"], Basalt::English.list(things.map { |thing| thing.name.to_s })].compact.join(": ")
            Mark.new(phrase_id: phrase.id, face:, element_id: things.first&.id, title:)
          end

          # @return [Hash] what an act on a phrase carries besides
          def place = { part: @part, on: @on }.compact

          # @return [Array<String>] what a phrase may be
          def nouns = Basalt::Brief::Proposal.nouns.keys

          # @return [Array<String>] names of what a phrase may be about
          def names
            things = @set.elements.each.reject { |one| one.relation? || one.name.nil? || OWN.include?(one.kind) }
            things.map(&:name).uniq.first(MOST_NAMES)
          end

          private

          def untouched = @untouched ||= @phrases.reject { |phrase| phrase["became"] }
          def told(phrases) = phrases.first(MOST_PHRASES).map { |phrase| tell(phrase) }

          def tell(phrase)
            gone = phrase["became"] == Basalt::Brief::Revising::GONE
            things = MARKING.things(@set, phrase.id).map { |thing| [thing, @set.sheets_of(thing.owner_id || thing.id).first] }
            told = %i[quote became note as].to_h { |fact| [fact, phrase[fact.to_s]] }
            Phrase.new(id: phrase.id, gone:, things:, **told)
          end
        end
      end
    end
  end
end
