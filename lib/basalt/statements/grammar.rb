# frozen_string_literal: true

module Basalt
  module Statements
    # The table of all forms and qualities, put together once from the base and the families.
    module Grammar
      # How many answers to the same question are kept.
      MOST_KEPT = 4000

      class << self
        # @return [Array<Form>]
        def forms
          @forms ||= (CommonForms::ALL + declarations + Families.gather(:forms) + block_heads).freeze
        end

        # @param notation_name [String, nil] of the sheet on which the line is said
        # @return [Array<Form>] forms to try for a line that begins with this word; those that begin with a name in the order in which
        #   they are likely there (see #rank)
        def forms_for(word, notation_name = nil)
          opened_by(word, notation_name) + open_forms(notation_name)
        end

        # Most lines of a text have the same few words beside names.
        #
        # @param words [Array<String>] of the line, those that a form may read as themselves, in order
        # @return [Array<Form>] of those to try the ones for which the line has the words
        def possible(word, words, notation_name)
          @possible = {} if @possible.nil? || @possible.size > MOST_KEPT
          @possible[[(word if by_opening.key?(word)), words, notation_name]] ||=
            (opened_by(word, notation_name) + open_with(words, notation_name)).select { |form| form.possible?(words) }.freeze
        end

        # @param notation_name [String, nil]
        # @return [Array<Form>] of those the ones that declare something; each begins with a word of its own
        def declaring(word, notation_name = nil)
          return [] unless by_opening.key?(word)

          (@declaring ||= {})[[word, notation_name]] ||= opened_by(word, notation_name).select(&:declares)
        end

        # @return [Boolean] whether no line that begins with the word does anything else than to declare something
        def only_declares?(word, notation_name = nil) = opened_by(word, notation_name).all?(&:declares)

        # @return [Array<String>] words that a line may begin with
        def heads = @heads ||= forms.flat_map(&:openings).uniq

        # @return [Array<Quality>] of things of this kind
        def qualities(kind)
          @qualities ||=
            Hash.new do |table, name|
              table[name] = (CommonForms::QUALITIES + Families.gather(:qualities)).select do |quality|
                quality.kinds.include?(name) || quality.kinds.include?("*")
              end
            end
          @qualities[kind]
        end

        # @return [Quality, nil] that by which things of this kind stand in blocks
        def block_quality(kind)
          @block_qualities ||= Hash.new { |table, name| table[name] = qualities(name).find(&:blocks) }
          @block_qualities[kind]
        end

        # @return [Array<Object>] slots with which a quality of things of this kind begins
        def leading_slots(kind)
          @leading_slots ||=
            Hash.new do |table, name|
              slots = qualities(name).map { |quality| quality.nodes.first }.grep(Pattern::Slot).map(&:slot)
              table[name] = slots.uniq.map { |slot| Slots.fetch(slot) }
            end
          @leading_slots[kind]
        end

        # @return [Set<String>] words with which a line begins that opens a block
        def block_words =
          @block_words ||= Families.gather(:qualities).select(&:blocks).flat_map { |quality| first_words(quality.nodes) }.to_set

        # @param notation_name [String, nil]
        # @return [Set<String>] words with which a line begins, on such a sheet, that goes on until it is closed
        def spanning(notation_name)
          @spanning ||= Hash.new do |table, name|
            scripted = Model::Catalogue.notations[name]&.scripted?
            table[name] = (scripted ? Families.of_notation(name).forms.select(&:opens?).flat_map(&:openings) : []).to_set
          end
          @spanning[notation_name]
        end

        # @return [Set<String>] words with which lines begin that are taken back together
        def together_words = @together_words ||= forms.select(&:together).flat_map(&:openings).to_set

        # @return [Set<String>] words with which a quality that waits begins
        def late_words
          @late_words ||= Families.gather(:qualities).select(&:late?).flat_map { |quality| first_words(quality.nodes) }.to_set
        end

        # @return [Set<String>] words that follow a thing at the head of a sentence, and so end a new name there
        def verbs
          @verbs ||= open_literals(CommonForms::ALL + Families.gather(:forms)).to_set
        end

        # @return [Set<String>] every word that some form reads as itself
        def words
          @words ||=
            (
              forms.flat_map { |form| literals(form.nodes) } +
                (CommonForms::QUALITIES + Families.gather(:qualities)).flat_map { |quality| literals(quality.nodes) } + Slots::WORDS
            ).flat_map(&:split).to_set
        end

        # The words that may come first in a run of nodes.
        def first_words(nodes)
          nodes.each_with_object([]) do |node, found|
            case node
            when Pattern::Literal
              return found + node.words
            when Pattern::Maybe
              found.concat(first_words(node.nodes))
            when Pattern::Qualities
              found.concat(quality_words(node).to_a)
            else
              return found
            end
          end
        end

        # @return [Boolean] whether the word may come first in a run of nodes
        def begins?(nodes, word)
          nodes.each do |node|
            case node
            when Pattern::Literal then return node.words.include?(word)
            when Pattern::Maybe then return true if begins?(node.nodes, word)
            when Pattern::Qualities then return true if quality_words(node).include?(word)
            else return false
            end
          end
          false
        end

        # @return [Set<String>]
        def quality_words(node)
          (@quality_words ||= {})[node.kind] ||= qualities(node.kind).flat_map { |quality| first_words(quality.nodes) }.to_set
        end

        private

        def by_opening
          @by_opening ||=
            forms.each_with_object({}) do |form, table|
              form.openings.each { |opening| (table[opening.split.first] ||= []) << form }
            end.each_value { |list| list.sort_by!.with_index { |form, index| [form.declares ? -words_of(form.declares[3]) : 0, index] } }
        end

        def opened_by(word, notation_name)
          forms = by_opening[word] or return []
          (@opened_by ||= {})[[word, notation_name]] ||= forms.select { |form| form.declares.nil? || meant?(form.declares, notation_name) }
        end

        # Of words that begin alike the longest comes first.
        def words_of(noun) = noun.to_s.count(" ")

        # A word that several trades share declares what it means on the sheet, and some declare nothing on sheets of other trades.
        def meant?((kind, _, _, noun), notation_name) =
          noun.nil? || Model::Catalogue.words.declares?(noun, kind, notation_name)

        def open_forms(notation_name)
          @open_forms ||=
            Hash.new do |table, name|
              own = name ? Families.of_notation(name).forms : []
              table[name] = forms.select { |form| form.openings.empty? }.sort_by.with_index { |form, index| [rank(form, own), index] }
            end
          @open_forms[notation_name]
        end

        # Found by the words that they have at one place, and kept in order.
        def open_with(words, notation_name)
          by_word =
            (@open_by_word ||= {})[notation_name] ||=
              open_forms(notation_name).each_with_index.with_object(Hash.new { |table, word| table[word] = [] }) do |pair, table|
                (pair.first.words_at_one_place || [nil]).each { |word| table[word] << pair }
              end
          found = by_word.fetch(nil, []) + words.flat_map { |word| by_word.fetch(word, []) }
          found.uniq.sort_by(&:last).map(&:first)
        end

        # What the family of the sheet says comes first, then what is said of anything; what has no word of its own, as sentences
        # with any verb, takes only what neither of these is.
        def rank(form, own)
          return 0 if CommonForms::ALL.include?(form)

          mine = own.include?(form)
          return 1 if mine && form.words_of_its_own?
          return 2 if form.about_anything?

          mine ? 3 : 4
        end

        # The head of a block does nothing by itself: its lines say it.
        def block_heads =
          Families.gather(:qualities).select(&:blocks).map { |quality| Form.new("#{quality.source} :", heads: quality) { |*| nil } }

        def declarations
          Model::Catalogue.words.meanings.map do |noun, kind, facts|
            unnamed = kind.default_name(noun)
            slot = unnamed ? "[<name:new>]" : "<name:new>"
            Form.new("#{noun} #{slot} {#{kind.name}}", declares: [kind, facts, unnamed, noun]) do |context, captures|
              element = context.declare(kind, captures[:name] || unnamed, facts, captures)
              context.qualify(element, captures)
            end
          end
        end

        def open_literals(forms)
          forms.flat_map do |form|
            first, *rest = form.nodes
            if first.is_a?(Pattern::Slot) && %i[thing things].include?(first.slot)
              first_words(rest.drop_while { |n| n.is_a?(Pattern::Maybe) && n.nodes.first.is_a?(Pattern::Slot) })
            else
              []
            end
          end
        end

        def literals(nodes)
          nodes.flat_map do |node|
            case node
            when Pattern::Literal
              node.words
            when Pattern::Maybe
              literals(node.nodes)
            else
              []
            end
          end
        end
      end
    end
  end
end
