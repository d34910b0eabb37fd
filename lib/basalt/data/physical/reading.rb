# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # A script while it is read into a draft: what its names mean, what waits for the rest, what is told.
      class Reading
        # What is told of a statement: its line, its text, and why where there is a reason. One that is +kept+ is in the model as SQL,
        # and is written out again; of any other something is left out.
        Told = Value.of(:line, :text, :reason, :kept) do
          # @return [String] its first line, and the reason
          def told = [text.lines.first.strip, reason].compact.join(": ")

          # @return [String] all of it in one line
          def words = text.gsub(/\s+/, " ")
        end

        # The schema whose name nobody says.
        USUAL = "public"

        # @param draft [Change::Draft]
        # @param sheet_id [String, nil] where what is read is shown
        def initialize(draft, sheet_id: nil)
          @context = Statements::Context.new(draft, sheet_id:)
          @told = []
          @waiting = []
          @path = [nil]
          @sequences = Sequences.new
        end

        # @return [SQLText::Piece] the statement that is being read
        attr_reader :piece, :context, :told, :waiting, :sequences

        def draft = @context.draft
        def set(element, fact, value) = @context.set(element.id, fact, value)

        # @param names [Array<String>] of schemas, in which things are looked for and the first of which they are made in
        def path=(names)
          @path = names.map { |name| home(name) }.uniq
          @path = [nil] if @path.empty?
        end

        # @return [Boolean] whether names are looked for elsewhere than usual
        def elsewhere? = @path != [nil]

        # @param rest [String] what follows the name of a routine
        # @return [String, nil] the schema in which something of that name is found; nil for the usual one
        def schema_of(name, rest = "")
          @path.find { |one| one && known?(SQLName.of(one, name), rest) }
        end

        # What cannot be taken leaves nothing behind, and the rest is taken all the same.
        def attempt(piece)
          @piece = piece
          outer = @context
          trial = Change::Draft.new(outer.draft)
          @context = Statements::Context.new(trial, sheet_id: outer.sheet_id)
          yield
          outer.draft.merge(trial)
        rescue Mistake => e
          tell(e.message, piece)
        ensure
          @context = outer
        end

        # At the end of the script, when all is there.
        def wait(&work) = @waiting << [@piece, work]

        def tell(reason = nil, piece = @piece, kept: false) = @told << Told.new(line: piece.line, text: piece.text, reason:, kept:)

        # What is modelled without something that it says is told so.
        def lost(words, what = nil) = words.any? && tell("#{"#{what} " if what}without #{English.list(words)}")

        # @param schema [String] as SQL names it; empty where it does not
        # @return [String] what a thing made there is called in the model
        def fresh(schema, name) = Model::Names.clean(SQLName.of(schema.empty? ? @path.first : home(schema), name))

        # @param relation [PgQuery::RangeVar]
        # @return [Model::Element, nil] the table, the view or what is kept of that name
        # @return [Array<String>] its name, behind its schema where it is said
        def names(relation) = [relation.schemaname, relation.relname].reject(&:empty?)
        def thing(relation) = relation && named(relation.schemaname, relation.relname)
        def table(relation) = thing(relation)&.then { |one| one if one.kind == "table" }

        # @param names [Array<String>] with or without the schema
        # @return [Model::Element, nil]
        def called(names) = named(names.length > 1 ? names[-2] : "", names.last)

        # @param schema [String] as SQL names it; empty where it does not
        # @return [Array<String, nil>] the schemas in which something is looked for, in order
        def homes(schema) = schema.empty? ? @path | [nil] : [home(schema)]

        # @return [Array(Model::Element, Model::Element), nil] see {Naming.indexed}
        def indexed(names) = Naming.indexed(draft, homes(names.length > 1 ? names[-2] : ""), names.last)

        # @return [Model::Element, nil] see {Naming.numbered}
        def numbered(names) = Naming.numbered(draft, homes(names.length > 1 ? names[-2] : ""), names.last)

        # @return [Sequences::Made, nil] what the script said of a sequence so far
        def sequence(names)
          homes(names.length > 1 ? names[-2] : "").lazy.filter_map { |one| @sequences[SQLName.of(one, names.last)] }.first
        end

        def named(schema, name, kinds = KINDS)
          homes(schema).lazy.filter_map { |one| draft.named(SQLName.of(one, name)).find { |element| kinds.include?(element.kind) } }.first
        end

        KINDS = ["table", "view", Kinds::OBJECT].freeze
        private_constant :KINDS

        # @return [Model::Element] the table
        # @raise [Mistake] where the script does not make it
        def table!(relation) = table(relation) || raise(Mistake, "#{relation.relname} is not made by the script")

        # Keeps SQL about something behind it.
        #
        # @return [true]
        def add(owner, sql = @piece.text)
          Sentences.add(@context, owner, said(sql))
          tell(nil, kept: true)
          true
        end

        # Keeps the SQL that makes something.
        #
        # @return [Model::Element]
        def keep(type, name, sql = @piece.text)
          known = draft.named(name).find { |one| one.kind == Kinds::OBJECT && one["type"] == type }
          made = known || @context.add(Kinds::OBJECT, name:, facts: { "type" => type })
          set(made, "written", said(sql))
          @context.show(made)
          made
        end

        private

        def known?(name, rest)
          return draft.named(name).any? { |element| KINDS.include?(element.kind) } if rest.empty?

          draft.elements.keys_beginning(:name, (name + rest).downcase, 1).any?
        end

        def home(schema) = schema == USUAL ? nil : schema

        # Where names are looked for elsewhere, the SQL says so.
        def said(sql)
          return sql if @path == [nil]

          "SET search_path = #{@path.map { |one| SQLName.quote(one || USUAL) }.join(", ")};\n#{sql};\nRESET search_path"
        end
      end
    end
  end
end
