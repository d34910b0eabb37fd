# frozen_string_literal: true

module Web
  module Families
    module Linking
      module Presenters
        # What linking by name would come to, before it is taken.
        class ByNamePage
          # Rows that are told one by one.
          MOST = 200
          # Sheets that are offered for one thing.
          MOST_SHEETS = 20
          HOW = {
            exact: "called the same",
            normal: "the same but for case, spaces, separators or leading zeros",
            shortened: "the same with words left out",
            chosen: "chosen"
          }.freeze
          TARGETS = { "titles" => "title", "numbers" => "number", "subjects" => "what it is about" }.freeze
          # A field to choose from: +options+ are values, their words and which one is chosen.
          Select = Basalt::Value.of(:name, :label, :options)
          Row = Basalt::Value.of(:thing, :sheet, :how)
          Choice = Basalt::Value.of(:thing, :sheets, :more)
          Left = Basalt::Value.of(:thing, :makes)

          # @param wanted [ByNameForm]
          def initialize(set, wanted)
            @set = set
            @wanted = wanted
            @proposal = wanted.proposal(set)
          rescue Basalt::Mistake => e
            @refused = e.message
          end

          attr_reader :wanted, :refused

          # @return [Array<Array(String, String, Boolean)>] whose things, in words, and whether these are meant
          def sheets = @set.sheet_list.map { |sheet| [sheet.id, "#{sheet.number} #{sheet.name}", wanted.of.include?(sheet.id)] }

          # @return [Select] and those that follow: by what is looked
          def nouns = select("noun", "which are", [["", "of any kind"], *things.map(&:noun).uniq.sort.map { |noun| [noun, noun] }])
          def facts = select("by", "by their", Basalt::Linking::Fact.of(@set, things).map { |fact| [fact.id, fact.label] })
          def targets = select("to", "with sheets by", TARGETS.to_a)

          def fresh = @fresh ||= rows(@proposal.fresh)
          def fresh_count = @proposal.fresh.length
          def standing_count = @proposal.standing.length
          def standing = rows(@proposal.standing)

          # @return [Array<Choice>]
          def choices
            @choices ||= @proposal.choices.first(MOST).map do |choice|
              offered = choice.sheets.first(MOST_SHEETS).map { |id| @set.sheets[id] }
              Choice.new(thing: @set.element(choice.thing), sheets: offered, more: choice.sheets.length - offered.length)
            end
          end

          def choice_count = @proposal.choices.length
          def left_count = @proposal.left_things.length

          # @return [Array<Left>] with the name of the sheet that could be made
          def left
            @left ||= @proposal.left_things.first(MOST).map do |id|
              thing = @set.element(id)
              Left.new(thing:, makes: Basalt::Openers.for(@set, thing).first&.name)
            end
          end

          def left_sheet_count = @proposal.left_sheets.length
          def left_sheets = @proposal.left_sheets.first(MOST).map { |id| @set.sheets[id] }
          def common_words = (@proposal.common_words - wanted["without"].split(",").map(&:strip)).map { |word| "“#{word}”" }
          def makes? = left.any?(&:makes)
          def more_fresh = fresh_count - fresh.length
          def more_choices = choice_count - choices.length
          def more_left = left_count - left.length
          def more_left_sheets = left_sheet_count - left_sheets.length
          def linkable? = fresh_count.positive? || choice_count.positive?

          # @return [String, nil] the place a thing is in, which tells it from its namesakes
          def where(thing) = thing.container_id && @set.element(thing.container_id)&.name

          # @return [String] its kind, and where it is
          def what(thing) = [thing.noun, where(thing)].compact.join(" in ")

          private

          def select(name, label, options)
            Select.new(name:, label:, options: options.map { |value, words| [value, words, wanted[name] == value] })
          end

          def things = @things ||= Basalt::Linking::ByName.things(@set, wanted.of.select { |id| @set.sheets[id] })

          def rows(pairs) = pairs.first(MOST).map { |pair| row(pair) }
          def row(pair) = Row.new(thing: @set.element(pair.thing), sheet: @set.sheets[pair.sheet], how: HOW.fetch(pair.how))
        end
      end
    end
  end
end
