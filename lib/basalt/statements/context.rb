# frozen_string_literal: true

module Basalt
  module Statements
    # Where a statement is said: the draft it alters and the sheet it stands on. Forms act
    # through it.
    class Context
      # How many names of each sort are looked at for one that may have been meant.
      MOST_NAMES = 120
      private_constant :MOST_NAMES

      # @param draft [Change::Draft]
      # @param sheet_id [String, nil] nil is the model alone
      # @param said_by [String, nil] kept with what is made
      def initialize(draft, sheet_id: nil, said_by: nil)
        @draft = draft
        @sheet_id = sheet_id
        @said_by = said_by
      end

      attr_reader :draft, :sheet_id

      # Where the next line of what is in order goes, on the sheet that is spoken of; nil until something was said of it.
      attr_accessor :cursor

      def sheet_id=(id)
        @cursor = nil unless id == @sheet_id
        @sheet_id = id
      end

      def sheet = sheet_id && draft.sheets[sheet_id]

      # @param name [String, nil] the notation of a sheet that is not there yet, on which something is said
      attr_writer :notation_name

      # @return [String, nil] that of the sheet
      def notation_name = sheet&.notation_name || @notation_name

      # @return [Array<Token>] of a line, which is often looked at several times in a row
      def tokens(line)
        @line, @tokens = line, Tokens.of(line) unless @line.equal?(line)
        @tokens
      end

      # @return [Array<Model::Element>] those of that name and of these kinds; those on the sheet alone if there are any
      def find(name, kinds, noun: nil)
        # Nothing is called like most words that are looked at.
        return [] unless draft.elements.any_by?(:name, name)

        found = kinds == Model::Kind::ANYTHING ? draft.named(name) : draft.named(name, *kinds)
        found = found.select { |element| element.noun == noun } if noun
        return found if found.length < 2 || sheet_id.nil?

        here = found.select { |element| draft.shown?(sheet_id, element.id) }
        here.any? ? here : found
      end

      # @return [Array<String>] names of these kinds that may have been meant by a word: some of those that begin like it, stand on
      #   the sheet, or are there at all
      def names_like(word, kinds)
        alike = draft.elements.keys_beginning(:name, word[0, 2].downcase, MOST_NAMES).lazy.flat_map { |name| draft.named(name) }
        here = sheet_id ? draft.placed_on(sheet_id) : []
        all = kinds.lazy.flat_map { |kind| draft.elements.ids_by(:kind, kind) }.map { |id| draft.element(id) }
        [alike, here, all]
          .flat_map { |found| found.select { |one| one.name && kinds.include?(one.kind) }.first(MOST_NAMES) }
          .map(&:name)
          .uniq
      end

      # Finds or makes what is declared, and shows it on the sheet.
      def declare(kind, name, facts, captures)
        local = kind.local && here(kind)
        known = local ? standing(kind, name, local) : same(kind, name, facts, captures)
        known && facts.each { |fact, value| set(known.id, fact, value) unless known[fact] == value }
        container_id = local || place(captures)&.id || subject(kind)
        element = known ? settled(known.id, kind) : add(kind.name, name:, facts:, container_id:)
        outermost << element.id if outermost?(captures)
        show(element)
        element
      end

      def qualify(element, captures)
        captures.fetch(:qualities, []).each { |quality, values| quality.take(self, element, values) }
      end

      # @return [Model::Element]
      def add(kind, name: nil, facts: {}, ends: nil, owner_id: nil, container_id: nil)
        Change::Add.new(kind:, name:, facts:, ends:, owner_id:, container_id:, said_by: @said_by).apply(draft)
      end

      def set(id, fact, value) = Change::Set.new(id:, fact:, value:).apply(draft)

      # Shows things on the sheet, where its notation draws them.
      def show(*elements)
        return unless sheet_id

        elements.each do |element|
          next if element.relation? || draft.shown?(sheet_id, element.id) || !sheet.notation.draws?(element)

          Change::Show.new(sheet_id:, element_id: element.id).apply(draft)
        end
      end

      # @return [String] kind and name, or name and place, as a statement would tell it from its namesakes
      def qualified(element)
        path = Path.new(draft).of(element).first
        return "“#{path}”" if path

        place = element.container_id && draft.element(element.container_id)
        return "“#{element.name} of #{place.name}”" if place && element.description.distinct_by.include?("container")

        "“#{Model::Catalogue.words.word(element, notation_name)} #{element.name}”"
      end

      private

      # @raise [Mistake] where no sheet could hold it
      def here(kind)
        kind.local.call(draft, sheet) or raise Mistake, "a #{kind.name} belongs to the sheet that it is declared on"
      end

      def standing(kind, name, container_id) =
        draft.named(Model::Names.clean(name)).find { |element| element.kind == kind.name && element.container_id == container_id }

      def same(kind, name, facts, captures)
        found =
          draft
            .named(Model::Names.clean(name))
            .select do |element|
              element.kind == kind.name && facts.all? { |fact, value| !kind.distinct_by.include?(fact) || element[fact] == value }
            end
        return found.first unless kind.distinct_by.include?("container")

        loose = found.find { |element| element.container_id.nil? }
        return loose if outermost?(captures)

        place = place(captures) or return found.one? ? found.first : loose
        found.find { |element| element.container_id == place.id } || (loose unless outermost.include?(loose&.id))
      end

      def outermost?(captures) = captures.fetch(:qualities, []).any? { |quality, _| quality.outermost? }

      # What was said to be in nothing is not what is in a place.
      def outermost = @outermost ||= Set.new

      # What has no place yet is in what its sheet is about.
      def settled(id, kind)
        element = draft.element(id)
        around = subject(kind)
        return element if around.nil? || element.container_id || around == id

        draft.apply(Change::Set.new(id:, fact: "container", value: around)).element(id)
      end

      # What the sheet is about, where it holds what is declared on the sheet.
      def subject(kind)
        about = sheet&.subject_id && draft.element(sheet.subject_id)
        about.id if about && sheet.notation.within?(kind.name) && kind.containers.include?(about.kind)
      end

      def place(captures)
        captures.fetch(:qualities, []).filter_map { |_quality, values| values[:container] }.first
      end
    end
  end
end
