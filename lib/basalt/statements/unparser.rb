# frozen_string_literal: true

module Basalt
  module Statements
    # Tells a model as statements: the reading. A sentence is put together from words,
    # things and new names; names are quoted or qualified exactly where they would be
    # misread, which is found by reading the sentence back.
    class Unparser
      # A known thing, or a new name, in a sentence being told; +spoken+ of by what AnythingSlot reads.
      Mention = Value.of(:element, :name, :spoken)

      # Characters after which a list goes on in another sentence.
      LIST = 1200

      # @param set [Model::WorkingSet, Change::Draft]
      def initialize(set)
        @set = set
        @context = Context.new(set)
        @shapes = {}
        @rungs = {}
        @told = {}
        @misread = {}
      end

      attr_reader :set

      # @param notations [Array<String>]
      # @return [Boolean] whether it tells what stands on a sheet of one of these
      def on?(*notations) = @context.sheet_id && notations.include?(@context.sheet.notation_name)

      # @return [String] the whole project, with blocks
      def project
        (
          [set.project && say("project", name(set.project))] + loose +
            set.sheet_list.flat_map { |sheet| ["", opening(sheet)] + sheet(sheet.id) }
        ).compact.join("\n").strip.concat("\n")
      end

      # @return [Array<String>] the sentences of one sheet, with blocks
      def sheet(sheet_id) = Blocks.around(self, sentences(sheet_id)).flat_map(&:last) + script(sheet_id).map(&:last)

      # @return [Array<Array(String, String)>] lines that stand in order, each with the id of what it tells of, if it tells of something
      def script(sheet_id)
        @context.sheet_id = sheet_id
        found = set.sheets[sheet_id].notation.script(set, sheet_id)
        found && (@scripts ||= Set.new).add?(found.key) ? found.told(self) : []
      end

      # @return [Array<Array(String, Array<String>)>] id of an element, and the sentences about it, in order; without those lines
      def sentences(sheet_id)
        @context.sheet_id = sheet_id
        known, fresh = in_order(unscripted(set.things_on(sheet_id))).partition { |thing| @told[thing.id] }
        # What was told before is told again in the order in which it was.
        things = in_order(known) { |thing| @told[thing.id] } + fresh
        told = things.map { |thing| [thing.id, declaration(thing)] }
        told +=
          in_order(unscripted(relations(sheet_id)))
            .reject { |relation| told_elsewhere?(sheet_id, relation) }
            .map { |relation| [relation.id, tell(relation)] }
        nesting = Drawing::Nesting.new(set, sheet_id)
        told += things.map { |thing| [thing.id, emphasis(sheet_id, thing, nesting)] }
        told.reject { |_, lines| lines.empty? }
      end

      # What joins things comes first: it is what people who know the matter read. All of it is read back in any order.
      #
      # @return [Array<Array<Array(String, Array<String>)>>] the sentences of what is joined, and of what there is (see
      #   #sentences), with blocks; a line that opens or closes one has no id
      def reading(sheet_id)
        joined, things = sentences(sheet_id).partition { |id, _| set.element(id).relation? }.map { |told| Blocks.around(self, told) }
        [joined + script(sheet_id).map { |id, line| [id, [line]] }, things]
      end

      # @return [String] what opens a block in which the quality says that things are in this
      def block_head(quality, element_id)
        words = quality.nodes.flat_map { |node| node.is_a?(Pattern::Slot) ? [thing(element_id)] : node.words.first(1) }
        say(*words, :colon).delete_suffix(":")
      end

      # @return [Array<String>] everything said of one element
      def tell(element)
        element.relation? ? relation(element) : declaration(element)
      end

      # @return [Mention] for use in a sentence
      def thing(id) = Mention.new(element: set.element(id))
      def name(text) = Mention.new(name: text)

      # @return [Mention] of a thing, a part or a relation, as AnythingSlot reads it
      def anything(id) = set.element(id).then { |element| Mention.new(element:, spoken: element.relation? || !element.owner_id.nil?) }

      # @return [String] one word, quoted where it must be
      def word(text) = Slots.fetch(:word).write(text)

      # @return [String] a text of several lines
      def lines(text) = Slots.fetch(:lines).write(text)

      # @return [Object] a fact's value as a slot says it
      def value(slot, fact)
        writer = Slots.fetch(slot.slot)
        writer.respond_to?(:write) ? writer.write(fact) : fact.to_s
      end

      # @param parts [Array<String, Mention>]
      # @return [String] one sentence
      def say(*parts)
        parts = parts.flatten.compact
        plain = parts.none? { |part| part.is_a?(Mention) && doubtful?(part) }
        plain && (!doubtful_names? || !WordRuns.new(set, parts, method(:single?)).other_names?) ? render(parts) : certain(parts)
      end

      # A long list is told in several sentences, each short enough to be read and read back.
      #
      # @param subject [Array] parts that every sentence begins with
      # @param items [Array<Array>] parts of each member of the list
      # @return [Array<String>]
      def say_list(subject, items)
        return [] if items.empty?
        return [say(*subject, *listed(items))] if items.sum { |parts| long(parts) } <= LIST

        length = 0
        groups =
          items.slice_when do |one, _|
            length += long(one)
            (length > LIST).tap { |full| length = 0 if full }
          end
        groups.map { |group| say(*subject, *listed(group)) }
      end

      private

      def listed(items) = items.flat_map { |parts| [:comma, *parts] }.drop(1)
      def long(parts) = parts.flatten.sum { |part| part.to_s.length + 1 }

      # What a sheet draws between what things are in is told there too.
      def relations(sheet_id)
        notation = set.sheets[sheet_id].notation
        drawn = set.relations_on(sheet_id)
        notation.gathers? ? (drawn + notation.lines_on(set, sheet_id)).uniq(&:id) : drawn
      end

      # What lines in order tell of is told nowhere else.
      def unscripted(elements)
        @scripted ||= Model::Catalogue.notations.values.flat_map(&:script_kinds).to_set
        elements.reject { |element| @scripted.include?(element.kind) }
      end

      # What is in order among others of its kind is told in that order.
      def in_order(elements, &place)
        return elements.sort_by(&:ordinal) if place.nil? && elements.none? { |element| element.description.ordered }

        place ||= :ordinal.to_proc
        elements.sort_by { |element| [element.description.ordered ? Change::Reorder.key(element) : place.call(element), element.ordinal] }
      end

      # What another sheet draws as a line, and this one does not, is told there.
      def told_elsewhere?(sheet_id, relation)
        return false if set.sheets[sheet_id].notation.draws_line?(set, relation)

        @drawing ||= Hash.new { |table, kind| table[kind] = set.sheet_list.select { |sheet| sheet.notation.lines.include?(kind) } }
        @drawing[relation.kind].any? { |sheet| sheet.notation.draws_line?(set, relation) && set.drawn_between?(sheet.id, relation) }
      end

      # What stands on no sheet is told before the first, and so is what holds something that is told before it would be.
      def loose
        @context.sheet_id = nil
        elements = unscripted(set.elements.each).sort_by(&:ordinal)
        things = elements.reject { |element| element.relation? || element.owner_id }
        told = places_told(things)
        things = things.select { |thing| told[thing.id] == LOOSE }
        relations =
          elements.select { |element| element.relation? && set.sheet_list.none? { |sheet| set.drawn_between?(sheet.id, element) } }
        things.sort_by { |thing| [depth(thing), thing.ordinal] }.flat_map { |thing| needed(declaration(thing), thing) } +
          relations.flat_map { |element| relation(element) }
      end

      # A sheet makes what it is about by itself, where nothing else is said of that.
      def needed(lines, thing)
        return lines unless lines == [short(thing)]

        set.sheets_about(thing.id).any? { |sheet| sheet.notation.own_subject(set, sheet) == thing.id } ? [] : lines
      end

      LOOSE = -1
      private_constant :LOOSE

      # @return [Hash{String => Integer}] the sheet on which each thing is first told, counted in their order; LOOSE for none
      def places_told(things)
        order = set.sheet_list.each_with_index.to_h { |sheet, index| [sheet.id, index] }
        told = things.to_h { |thing| [thing.id, set.sheets_of(thing.id).map { |id| order[id] }.min || LOOSE] }
        things.select(&:container_id).sort_by { |thing| -depth(thing) }.each do |thing|
          holder = told[thing.container_id]
          told[thing.container_id] = LOOSE if holder && told[thing.id] < holder
        end
        told
      end

      def depth(element)
        element.container_id ? 1 + depth(set.element(element.container_id)) : 0
      end

      def opening(sheet)
        @context.sheet_id = nil
        qualities = Grammar.qualities("sheet").flat_map { |quality| quality.tell(self, sheet) }
        say("sheet", name(sheet.name), :colon, sheet.notation_name, *qualities.flat_map { |parts| [:comma, *parts] })
      end

      def declaration(thing)
        return [short(thing)] if @told[thing.id] && !thing.description.distinct_by.include?("container")

        @told[thing.id] ||= @told.length
        qualities = Grammar.qualities(thing.kind).flat_map { |quality| quality.tell(self, thing) }
        [say(head(thing), joined(qualities)), *details(thing), *remarks(thing), *remarks_on_parts(thing)]
      end

      def short(thing) = say(head(thing))
      def noun(thing) = Model::Catalogue.words.word(thing, @context.notation_name)

      def head(thing)
        return [noun(thing)] if thing.name == thing.description.default_name(thing.noun)

        [noun(thing), name(thing.name)]
      end

      # A number right behind a name would be read as part of it.
      def joined(qualities)
        qualities.each_with_index.flat_map do |parts, index|
          index.zero? && !parts.first.to_s.match?(/\A\d+\z/) ? parts : [:comma, *parts]
        end
      end

      def emphasis(sheet_id, thing, nesting)
        shape = set.placement(sheet_id, thing.id)&.shape or return []
        [
          *(say(thing(thing.id), "is emphasised as", name(shape["emphasis"])) if shape["emphasis"]),
          *(say(thing(thing.id), "is collapsed") if nesting.closed?(thing.id))
        ]
      end

      def details(thing)
        @telling ||= Families.all.select { |family| family.respond_to?(:details) }
        @telling.flat_map { |family| family.details(self, thing) }
      end

      def relation(element)
        lines = stating(element)
        lines.empty? ? [] : lines + remarks(element) + remarks_on_parts(element)
      end

      # @return [Array<String>] the sentences that state a relation, as a rule one
      def stating(relation)
        @unparsers ||= Hash.new { |table, kind| table[kind] = Families.all.filter_map { |family| family.unparsers[kind] } }
        @unparsers[relation.kind].each { |unparser| unparser.call(self, relation)&.then { |told| return [*told] } }
        []
      end

      def remarks(thing)
        lines = []
        lines << say("note on", anything(thing.id), :colon, thing["note"]) if thing["note"]
        lines << say(anything(thing.id), "is assumed") if thing.assumed
        lines
      end

      # Parts are spoken of by their path, where they have one.
      def remarks_on_parts(owner)
        return [] unless set.elements.any_by?(:owner, owner.id)

        set.parts_of(owner.id).flat_map { |part| (remarked?(part) ? remarks(part) : []) + remarks_on_parts(part) }
      end

      # Whose note another sentence tells keeps it to itself.
      def remarked?(part) = (part["note"] || part.assumed) && !part.description.fields["note"].internal && Path.new(set).of(part).any?

      def doubtful_names?
        return @doubtful unless @doubtful.nil?

        @doubtful = set.elements.each.any? { |element| element.name && Quoting.doubtful?(element.name) }
      end

      def doubtful?(mention)
        return true if mention.spoken

        text = mention.name || mention.element.name
        misread = @misread.fetch(text) { @misread[text] = Quoting.always?(text) || Quoting.doubtful?(text) }
        misread || !single?(mention, text)
      end

      # Parts of others are not looked for where something is named anew.
      #
      # @return [Boolean] whether nothing else could be meant by the name
      def single?(mention, text)
        return true if set.elements.count_by(:name, text) <= 1
        return false unless mention.name

        @parts_alone ||= {}
        @parts_alone.fetch(text) { @parts_alone[text] = set.elements.by(:name, text).all?(&:owner_id) }
      end

      # Sentences of the same shape are understood alike, where no other name could be read out of their words: what the
      # first of them showed about each of its names, bare, quoted or qualified, holds for the others.
      def certain(parts)
        return sure(parts) if parts.grep(Mention).any?(&:spoken)

        runs = WordRuns.new(set, parts, method(:single?))
        return sure(parts) unless runs.plain?

        shape = [@context.notation_name, *runs.shape]
        places = @shapes[shape]
        return render(parts, places.to_h { |index, place| [index, at_rung(parts[index], place)] }) if places

        # What is known of one name afterwards may let another stand barer.
        surest(parts)
        chosen = surest(parts)
        places = chosen.to_h { |index, rung| [index, ladder(parts[index]).index(rung)] }
        @shapes[shape] = places unless places.value?(nil)
        render(parts, chosen)
      end

      def sure(parts) = render(parts, surest(parts))

      # The first two are what nearly all names take.
      def at_rung(mention, place)
        text = mention.name || mention.element.name
        place.zero? ? text : (place == 1 ? Quoting.quote(text) : ladder(mention)[place])
      end

      # Tries each mention bare before quoted before qualified, the others being at their surest.
      #
      # @return [Hash{Integer => String}] what to say, by place among the parts
      def surest(parts)
        mentions = parts.each_index.select { |index| parts[index].is_a?(Mention) }
        known = remembered(parts, mentions)
        return known if known && understood?(parts, known)

        ladders = mentions.to_h { |index| [index, ladder(parts[index])] }
        chosen = ladders.transform_values(&:last)
        mentions.each do |index|
          chosen[index] = ladders[index].find { |rung| understood?(parts, chosen.merge(index => rung)) } || ladders[index].last
        end
        remember(parts, chosen)
        chosen
      end

      # What was told between the same words before is tried as it was told then.
      #
      # @return [Hash{Integer => String}, nil] nil where something is spoken of for the first time
      def remembered(parts, mentions)
        rungs = mentions.to_h { |index| [index, rung(parts, index)] }
        rungs unless rungs.value?(nil)
      end

      def rung(parts, index)
        one = parts[index]
        return if one.spoken

        one.name ? bare(one.name).first : @rungs[between(parts, index)]
      end

      def remember(parts, chosen)
        chosen.each { |index, rung| @rungs[between(parts, index)] = rung if parts[index].element && !parts[index].spoken }
      end

      def between(parts, index) =
        [@context.sheet_id, parts[index].element.id, *[index.positive? ? parts[index - 1] : nil, parts[index + 1]].grep_v(Mention)]

      def ladder(mention)
        return stated(mention.element) if mention.spoken && mention.element.relation?
        return Path.new(set).of(mention.element).then { |paths| paths.any? ? paths : bare(mention.element.name) } if mention.spoken

        text = mention.name || mention.element.name
        bare = Quoting.always?(text) ? [] : [text]
        rungs = bare + [Quoting.quote(text)]
        return rungs if mention.name

        kinds = rungs.map { |rung| "#{noun(mention.element)} #{rung}" }
        in_place = (rungs + kinds).map { |rung| of_place(mention.element, rung) }
        rungs + kinds.zip(in_place).flatten + in_place.drop(rungs.length).flatten
      end

      def bare(name) = [*(name unless Quoting.always?(name)), Quoting.quote(name)]

      # A relation by the words that state it, or by all of them.
      def stated(relation)
        sentence = stating(relation).first.to_s
        [Stating.short(sentence), Quoting.quote(sentence)]
      end

      # Within as many places as it takes.
      def of_place(element, rung)
        place = element.container_id && set.element(element.container_id) or return []
        named = bare(place.name).map { |name| "#{rung} of #{name}" }
        named + of_place(place, named.last)
      end

      # A sentence about something that is there must not look like one that declares something.
      def understood?(parts, chosen)
        line = render(parts, chosen)
        form, said = Line.understood(line, @context)
        form && (form.declares || Declaration.of(line, @context).nil?) &&
          mentioned(said) == parts.grep(Mention).map { |mention| mention.name || mention.element.id }
      rescue Misread
        false
      end

      def mentioned(said)
        said.flat_map do |key, value|
          next value.flat_map { |_, inner| mentioned(inner) } if key == :qualities

          (value.is_a?(Array) ? value : [value]).flat_map { |item| mentions_in(item) }
        end
      end

      def mentions_in(item)
        case item
        when Model::Element
          [item.id]
        when Naming
          [item.to_str]
        else
          item.respond_to?(:mentions) ? item.mentions : []
        end
      end

      MARKS = { comma: ",", colon: ":", semicolon: ";", close: ")" }.freeze
      private_constant :MARKS

      def render(parts, chosen = {})
        text = +""
        parts.each_with_index do |part, index|
          next text << MARKS[part] if part.is_a?(Symbol) && part != :open

          text << " " unless text.empty? || text.end_with?("(")
          next text << "(" if part == :open

          text << (part.is_a?(Mention) ? chosen[index] || part.name || part.element.name : part)
        end
        text
      end
    end
  end
end
