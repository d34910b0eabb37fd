# frozen_string_literal: true

module Basalt
  module Linking
    # What linking by name would come to: for the things of some sheets, or of the whole project, with the other sheets. What is
    # linked already stands and is not asked for again.
    class ByName
      TARGETS = %w[titles numbers subjects].freeze
      # Things and sheets among which nothing tells; each thing chooses among the sheets.
      Choice = Value.of(:thing, :sheets)

      # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
      # @param sheet_ids [Array<String>] whose things are to open; none for all of the project
      # @param noun [String, nil] only things that are called so
      # @param by [String] the fact (see Fact.find)
      # @param to [String] one of TARGETS
      # @param without [Array<String>] words to leave out at the beginning or at the end of names and titles
      # @raise [Mistake]
      def initialize(set, sheet_ids: [], noun: nil, by: "name", to: "titles", without: [])
        raise Mistake, "sheets are found by #{TARGETS.join(", ")}, not by “#{Model::Names.short(to)}”" unless TARGETS.include?(to)

        @set = set
        @sheet_ids = sheet_ids
        @to = to
        @things = ByName.things(set, sheet_ids).select { |thing| noun.nil? || thing.noun == noun }
        @fact = Fact.find(set, @things, by)
        @without = without
        sort
      end

      # @return [Array<Model::Element>] what could open: things that have a name and are no part of another
      def self.things(set, sheet_ids = [])
        ids = sheet_ids.uniq
        all = ids.empty? ? set.elements.each.sort_by(&:ordinal) : ids.flat_map { |id| set.things_on(id) }.uniq(&:id)
        all.select { |one| one.name && !one.relation? && one.owner_id.nil? && one.description.figure.nil? }
      end

      # +fresh+ are Matching::Pair, +standing+ too; +choices+ are of things for which several sheets would do; +left_things+ and
      # +left_sheets+ are those that nothing was found for.
      attr_reader :fact, :things, :fresh, :standing, :choices, :left_things, :left_sheets

      # @return [Array<String>] words that several of the sheets left begin or end with, which could be left out
      def common_words = CommonWords.of(left_sheets.filter_map { |id| key_of(@set.sheets[id]) })

      # @param chosen [Hash{String => Array<String>}] ids of sheets by id of the thing, for choices
      # @param title [String, nil] what the new links are called
      # @return [Array<Change::Link>] what links all that is fresh, and what was chosen
      # @raise [Mistake] where something was chosen that is no choice any more
      def changes(chosen: {}, title: nil)
        open = choices.to_h { |choice| [choice.thing, choice.sheets] }
        picked = chosen.flat_map do |thing, sheets|
          sheets.each { |sheet| refuse_choice(thing) unless open[thing]&.include?(sheet) }
          sheets.map { |sheet| [thing, sheet] }
        end
        (fresh.map { |pair| [pair.thing, pair.sheet] } + picked)
          .map { |thing, sheet| Change::Link.new(element_id: thing, sheet_id: sheet, title:) }
      end

      private

      def refuse_choice(thing)
        raise Mistake, "#{@set.element(thing)&.name || "it"} has other sheets to choose from by now; look again"
      end

      def sort
        names = @things.to_h { |thing| [thing.id, @fact.value(@set, thing)] }
        matching = Matching.new(names, names_of_sheets, without: @without, shared: @fact.shared)
        @standing, @fresh = matching.pairs.partition { |pair| opened(pair.thing).include?(pair.sheet) }
        @left_things = matching.left_things + without_value
        @left_sheets = matching.left_sheets
        @choices = []
        matching.equal.each { |equal| settle(equal) }
        leave_out_linked
      end

      # What opens into another sheet already, by whatever name, is not without one; nor does a sheet wait that is opened.
      def leave_out_linked
        @left_things = @left_things.reject { |thing| opened(thing).any? }
        ids = @things.to_set(&:id)
        @left_sheets = @left_sheets.reject { |sheet| @set.opened_by(sheet).any? { |thing| ids.include?(thing) } }
      end

      def without_value = @things.reject { |thing| @fact.value(@set, thing) }.map(&:id)

      # What was chosen before is not asked again, nor what has nothing left to choose.
      def settle(equal)
        taken = equal.things.flat_map { |thing| opened(thing) & equal.sheets }.to_set
        equal.things.each do |thing|
          own = opened(thing) & equal.sheets
          next own.each { |sheet| @standing << Matching::Pair.new(thing:, sheet:, how: :chosen) } if own.any?

          equal.sheets.all? { |sheet| taken.include?(sheet) } ? @left_things << thing : @choices << Choice.new(thing:, sheets: equal.sheets)
        end
      end

      def opened(thing) = (@opened ||= {})[thing] ||= @set.openings(thing).map { |opening| opening.sheet.id }

      def names_of_sheets
        @set.sheets.each.reject { |sheet| @sheet_ids.include?(sheet.id) }.sort_by(&:ordinal).to_h { |sheet| [sheet.id, key_of(sheet)] }
      end

      def key_of(sheet)
        case @to
        when "titles" then sheet.name
        when "numbers" then sheet.number
        else sheet.subject_id && @set.element(sheet.subject_id)&.name
        end
      end
    end
  end
end
