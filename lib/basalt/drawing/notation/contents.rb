# frozen_string_literal: true

module Basalt
  module Drawing
    class Notation
      # What a notation draws of a model, and what of it has a table in the register.
      module Contents
        # @return [Boolean] whether what it draws is part of a design, and so there for somebody
        def design? = true

        # @return [Boolean] whether what is declared of a kind on a sheet is in what the sheet is about
        def within?(_kind) = false

        # @return [Array<String>] kinds that are drawn around what they contain
        def boundaries = []

        def draws?(element) = things.include?(element.kind)

        # @return [Boolean] whether a relation is drawn as a line, when its ends are there
        def draws_line?(_set, relation) = lines.include?(relation.kind)

        # @return [Boolean] whether a thing is there to be joined: not where no lines are drawn, nor what only holds others
        def joins?(thing) = lines.any? && !boundaries.include?(thing.kind)

        # @return [Boolean] whether somebody can go about what is drawn, from thing to thing
        def walkable? = design? && lines.any? && !scripted?

        # @return [Boolean] whether a thing only passes on what comes to it: who is joined through it is joined
        def passes_on?(_thing) = false

        # @return [Boolean] whether somebody who does something with what is drawn may come by a thing
        def walked?(thing) = joins?(thing) && !passes_on?(thing)

        # @return [Boolean] whether lines that stand in order tell what is on the sheet
        def scripted? = false

        # @return [#told, nil] those of a sheet: +told+ answers, for an unparser, pairs of the id of what a line tells of, if it does, and
        #   the line; two sheets with the same +key+ tell the same
        def script(_set, _sheet_id) = nil

        # @param _list [Array<Model::Element>]
        # @return [Array<Model::Element>, nil] in the order in which they stand on a sheet; nil where their keys tell it
        def in_order(_set, _sheet_id, _list) = nil

        # @return [Array<String>] kinds of what such lines tell of, and nothing else does
        def script_kinds = []

        # Makes what is on a sheet what lines in order say.
        #
        # @param said [Array<Array(#id, Object)>] a row with the id of what it told of before, if it did, and what the line says
        # @param gone [Array<String>] ids of what no line tells of any more
        def rescript(_draft, _sheet_id, _said, _gone) = raise(NotImplementedError)

        # +y+ is a height on the sheet, px, +behind_id+ the id of an element.
        #
        # @return [Object, nil] where the next of those lines goes (see Statements::Context#cursor): behind an element, or at a height;
        #   nil at the end
        def cursor(_draft, _sheet_id, **) = nil

        # @return [String, nil] id of what a sheet is about without anybody having said so
        def own_subject(_set, _sheet) = nil

        # What a sheet has to have from the beginning.
        def begun(_draft, _sheet) = nil

        # @return [Boolean] whether a thing may stand on a sheet more than once
        def repeatable?(_set, _sheet_id, _thing) = false

        # @return [Array<Model::Element>] the relations drawn on the sheet
        def lines_on(set, sheet_id)
          return gathered_lines(set, sheet_id) if gathers? && !set.is_a?(AsDrawn)

          set.relations_on(sheet_id).select { |relation| draws_line?(set, relation) }
        end

        # One by one what is drawn together.
        def gathered_lines(set, sheet_id)
          Gathering.of(set, sheet_id).lines.filter_map { |id| set.element(id) }.sort_by(&:ordinal)
        end

        # @return [Array<Model::Element>] what of this kind belongs to things and lines of the sheet, and to other parts
        def parts_on(set, sheet_id, kind)
          owners(set, sheet_id, [kind]).flat_map { |owner| parts_within(set, owner.id, kind) }
        end

        # @return [Hash{String => Integer}] how many parts of each kind belong to what is on the sheet
        def part_counts(set, sheet_id) = owners(set, sheet_id, parts).flat_map { |owner| set.parts_within(owner.id) }.map(&:kind).tally

        def parts_within(set, owner_id, kind) = set.parts_within(owner_id).select { |part| part.kind == kind }

        # What can have parts of these kinds: no other is looked at.
        def owners(set, sheet_id, kinds)
          owning = Model::Catalogue.owning(kinds)
          lines_owning = owning.intersect?(lines.to_set) ? lines_on(set, sheet_id) : []
          (set.things_on(sheet_id) + lines_owning).select { |one| owning.include?(one.kind) }
        end

        # @return [Array(Array<Model::Element>, Array<Model::Element>)] things to lay out, and the lines among them
        def part(set, sheet_id, only)
          things = set.things_on(sheet_id).select { |thing| draws?(thing) && (only.nil? || only.include?(thing.id)) }
          ids = things.to_set(&:id)
          [things, lines_on(set, sheet_id).select { |line| line.endpoints.all? { |id| ids.include?(id) } }]
        end

        # @return [Array<String>] kinds of relations that have a table in the register and are no lines
        def told = []

        # @return [Array<String>] kinds that have a table only where there is one of them
        def seldom = []

        # @return [Array<String>] kinds of what belongs to those, with a table of their own in the register
        def parts = []

        # @return [Array<String>] kinds of things whose parts are rows of their symbols, edited as text
        def rows = []

        # @return [Array] parts of a sentence that say what a part of a thing is, behind “has”
        def part_words(_teller, _part) = raise(Mistake, "rows of this kind are not edited as text")

        # What follows from the facts of an element and is told beside them.
        #
        # @return [Array<Array(String, Object)>] words and value
        def computed(_set, _element) = []

        # @return [Array<String>] the words of +computed+ for a kind, as headings of its table
        def computed_headings(_kind) = []

        # A value that a person gave in short, made whole from what the model says.
        #
        # @return [String, nil]
        def completed(_set, _element, _fact, text) = text
      end
    end
  end
end
