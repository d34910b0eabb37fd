# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # The steps of a use case as a text that is typed and edited as a whole: a line for each step, +who: does what+, the number in front
      # being the one that it had; branches as +3a when ...+ with their steps beneath. A line that moves is a step that moves, and takes its
      # branches along; steps number themselves.
      class DescriptionText
        LINES = 400
        LETTERS = 1000
        STEP = /\A(?:(\d{1,3})[.)]?\s+)?(.+)\z/
        BRANCH = /\A(\d{1,3})([a-z]{1,2})\s+(?:when\s+)?(.+?)(?:\s*(?:→|->)\s*(\d{1,3}))?\z/
        BENEATH = /\A(\d{1,3})([a-z]{1,2})(\d{1,3})[.)]?\s+(.+)\z/
        WHO = /\A([^:]{1,80}):\s+(.+)\z/

        # A line that cannot be read.
        class Unreadable < Mistake
          def initialize(number, why) = super("line #{number}: #{why}")
        end

        # @return [String] the text of what there is
        def self.of(set, use_case_id)
          Description.new(set, use_case_id).entries.map { |entry| line(entry) }.join("\n")
        end

        def self.line(entry)
          one = entry.element
          return "#{entry.number} #{[one["who"], one["does"]].compact.join(": ")}" if one.kind == "step"

          "#{entry.number} when #{one["condition"]}#{" -> #{one["resumes"]}" if one["resumes"]}"
        end

        # @raise [Mistake] where it is too long
        def initialize(text)
          @lines = text.to_s.lines.map(&:strip)
          raise Mistake, "A description has #{LINES} lines at most, and this has #{@lines.length}" if @lines.length > LINES
        end

        # Makes the use case say what the text says, and no more.
        #
        # @param draft [Change::Draft]
        # @raise [Unreadable] naming the line; the draft is not to be used then
        def into(draft, use_case_id)
          @draft = draft
          @use_case_id = use_case_id
          @before = Description.new(draft, use_case_id)
          @known = @before.entries.to_h { |entry| [entry.number, entry.element] }
          @kept = []
          @rank = Hash.new(0)
          @places = {}
          read.each { |entry| put(*entry) }
          ended
        end

        private

        # @return [Array<Array>] type, number that it had, and facts, in order of lines
        def read
          @lines.each_with_index.filter_map do |line, index|
            next if line.empty?
            raise Unreadable.new(index + 1, "a line has #{LETTERS} letters at most") if line.length > LETTERS

            entry(line)
          end
        end

        def entry(line)
          case line
          when BENEATH then [:beneath, "#{$1}#{$2}", "#{$1}#{$2}#{$3}", said($4)]
          when BRANCH then [:branch, "#{$1}#{$2}", $1.to_i, { "condition" => $3, "resumes" => $4&.to_i }]
          else line.match(STEP).then { |found| [:step, found[1], said(found[2])] }
          end
        end

        def said(words)
          who, does = words.match(WHO)&.captures
          { "who" => who, "does" => does || words }
        end

        def put(type, *rest)
          case type
          when :step then step(*rest)
          when :branch then branch(*rest)
          else beneath(*rest)
          end
        end

        def step(number, facts)
          element = kept(number, "step") || add("step", @use_case_id, {})
          write(element, facts, @use_case_id)
          @places[number.to_i] = @rank[@use_case_id] if number
        end

        # The step that a branch leaves is known by the number it had.
        def branch(number, from, facts)
          element = kept(number, "branch") || add("branch", @use_case_id, {})
          write(element, facts.merge("from" => from), nil)
          (@branches ||= {})[number] = element.id
        end

        def beneath(branch, number, facts)
          owner = (@branches || {})[branch] or raise Mistake, "there is no branch #{branch} above its step #{number}"
          write(kept(number, "step") || add("step", owner, {}), facts, owner)
        end

        # What a number stood for, once.
        def kept(number, kind)
          found = number && @known[number]
          found if found && found.kind == kind && !@kept.include?(found.id)
        end

        def add(kind, owner_id, facts) = Change::Add.new(kind:, owner_id:, facts:).apply(@draft)

        def write(element, facts, ranked)
          @kept << element.id
          facts.each { |fact, value| @draft.apply(Change::Set.new(id: element.id, fact:, value:)) }
          return unless ranked

          rank = (@rank[ranked] += 1) * Change::OrderKey::ROOM
          now = @draft.element(element.id)
          @draft.put(:elements, now.with(rank:)) unless now.rank == rank
        end

        # What the text does not say goes; numbers that branches speak of become those that the steps have now.
        def ended
          gone = @known.values.reject { |one| @kept.include?(one.id) }
          (gone.select { |one| one.kind == "step" } + gone.select { |one| one.kind == "branch" })
            .each { |one| @draft.apply(Change::Remove.new(id: one.id)) if @draft.element(one.id) }
          (@branches || {}).each_value { |id| renumber(@draft.element(id)) }
          @draft
        end

        def renumber(branch)
          count = @rank[@use_case_id]
          Renumbering::FACTS.each do |fact|
            was = branch[fact] or next
            # Where no line had a number, the places count.
            now = @places.empty? ? (was <= count ? was : Kinds::NOWHERE) : @places.fetch(was) { @before.steps[was - 1] ? Kinds::NOWHERE : was }
            @draft.apply(Change::Set.new(id: branch.id, fact:, value: now)) unless now == was
          end
        end
      end
    end
  end
end
