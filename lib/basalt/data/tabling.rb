# frozen_string_literal: true

module Basalt
  module Data
    # Tables as sentences: their columns, what refers to what, what is unique, indexed, checked.
    module Tabling
      FLAGS = { "key" => "key", "required" => "required" }.freeze
      # How a constraint stands: facts that are said by their words alone.
      STANDING = %w[deferred inheritance validity].freeze
      CONSTRAINING = {
        "unique" => "is unique", "index" => "is indexed", "unique index" => "is uniquely indexed", "exclusion" => "is exclusive"
      }.freeze
      TEXTS = {
        "default" => "default", "generated" => "generated as", "sequence" => "by sequence", "numbering" => "numbered",
        "meaning" => "meaning"
      }.freeze

      module_function

      # @return [Array<Model::Element>] in order
      def columns(set, table_id) = set.parts_of(table_id).select { |part| part.kind == "column" }
      def checks(set, table_id) = set.parts_of(table_id).select { |part| part.kind == "check" }
      def references(set, table_id) = set.relations_of(table_id, "reference").select { |one| one.target("from") == table_id }
      def constraints(set, table_id) = set.relations_of(table_id, "constraint")
      def minimums(set, table_id) = set.relations_of(table_id, "minimum").select { |one| one.target("table") == table_id }

      # @return [Array<Model::Element>] the columns of the key, in its order: theirs in the table unless another is said
      def key_columns(set, table_id) =
        columns(set, table_id).select { |one| one["key"] }.sort_by.with_index(1) { |one, index| [one["key_place"] || index, index] }

      def column(set, table_id, name) = columns(set, table_id).find { |one| one.name == name }

      # @return [Model::Element, nil] a column of the table, or of one that it inherits from
      def standing(set, table_id, name)
        lineage(set, table_id) { |id| column(set, id, name)&.then { |found| return found } }
        nil
      end

      # The table and all that it inherits from, nearest first.
      #
      # @yieldparam id [String]
      def lineage(set, table_id)
        waiting = [table_id]
        seen = Set.new
        while (id = waiting.shift)
          next unless seen.add?(id)

          yield id
          waiting.unshift(*Physical::Sentences.inheritances(set, id).map { |one| one.target("parent") })
        end
      end

      # @param said [Hash] +table+ and +columns+
      def add(context, said)
        said[:columns].each { |item| take(context, said[:table], item) }
        context.show(said[:table])
      end

      def take(context, table, item)
        name = Model::Names.clean(item.name)
        known = column(context.draft, table.id, name) || context.add("column", name:, owner_id: table.id)
        item.facts.except("references").each { |fact, value| context.set(known.id, fact, value) }
        settle_thread(context, known.id, item)
        item.facts["references"]&.then { |target| refer(context, table, [name], named(context, target)) }
      end

      def settle_thread(context, id, item)
        return if item.facts["thread"].nil? || item.facts["as_derived"]

        context.set(id, "as_derived", Refinement.plain(context.draft, context.draft.element(id)))
      end

      def named(context, name)
        found = context.find(name, ["table"])
        raise Mistake, found.empty? ? "there is no table “#{name}”" : "there are #{found.length} tables “#{name}”" unless found.one?

        found.first
      end

      # @param names [Array<String>] of the columns
      # @param keys [Array<String>, nil] of those referred to; nil for the key
      def refer(context, table, names, target, keys = nil)
        columns = names.map { |name| column!(context.draft, table, name) }
        to =
          keys ? keys.map { |name| column!(context.draft, target, name) } : key_columns(context.draft, target.id)
        known =
          references(context.draft, table.id).find { |one| one.targets("column") == columns.map(&:id) && one.target("to") == target.id }
        return known if known

        context.show(target)
        context.add(
          "reference",
          ends: [["from", table.id], *columns.map { |one| ["column", one.id] }, *to.map { |one| ["key", one.id] }, ["to", target.id]]
        )
      end

      def column!(set, table, name)
        standing(set, table.id, name) or raise Mistake, "#{table.name} has no column “#{name}”"
      end

      # @param as_written [String, nil] the rest of CREATE INDEX where names of columns do not tell all (see {Physical::AsWritten})
      def constrain(context, table, type, names, as_written = nil)
        columns = names.map { |name| column!(context.draft, table, name).id }
        facts = { "type" => type, "as_written" => as_written }.compact
        constraints(context.draft, table.id).find { |one| same?(one, facts, columns) } ||
          context.add("constraint", facts:, ends: [["table", table.id], *columns.map { |id| ["column", id] }])
      end

      def same?(one, facts, columns) =
        one["type"] == facts["type"] && one["as_written"] == facts["as_written"] && one.targets("column") == columns

      # @return [Boolean] whether no two rows of the table have the same in its columns
      def unique?(one)
        one["type"] == "unique" ||
          (one["type"] == "unique index" && (one["as_written"].nil? || Physical::AsWritten.whole?(one["as_written"])))
      end

      # That each row of a table is referred to by so many of another at least.
      def say_minimum(context, said)
        columns = said[:names].map { |name| column!(context.draft, said[:other], name.to_str) }
        known = minimums(context.draft, said[:table].id).find { |one| one.targets("column") == columns.map(&:id) }
        known ||=
          context.add("minimum", ends: [["table", said[:table].id], ["of", said[:other].id], *columns.map { |one| ["column", one.id] }])
        context.set(known.id, "least", said[:least])
        threaded(context, known, said)
      end

      def key(context, table, names)
        wanted = names.map { |name| column!(context.draft, table, name).id }
        columns = columns(context.draft, table.id)
        columns.each { |one| context.set(one.id, "key", wanted.include?(one.id) ? true : nil) }
        place(context, columns, wanted)
      end

      # The order of a key is said where it is not that of the columns.
      def place(context, columns, wanted)
        usual = columns.map(&:id) & wanted == wanted
        columns.each { |one| context.set(one.id, "key_place", usual ? nil : wanted.index(one.id)&.succ) }
      end

      def unplace(context, said) = place(context, columns(context.draft, said[:table].id), [])

      def check(context, table, expression)
        checks(context.draft, table.id).find { |one| one["expression"] == expression } ||
          context.add("check", facts: { "expression" => expression }, owner_id: table.id)
      end

      def say_reference(context, said)
        names = said[:names]&.map(&:to_str)
        reference = names ? refer(context, said[:table], names, said[:other], said[:keys]&.map(&:to_str)) : loose_reference(context, said)
        %i[deleting updating].each { |fact| context.set(reference.id, fact.to_s, said[fact]) if said[fact] }
        empty(context, reference, said[:table], said[:emptied].map(&:to_str)) if said[:emptied]
        context.set(reference.id, "full", true) if said[:full]
        called(context, reference, said)
        threaded(context, reference, said)
      end

      # Deleting empties these columns alone of those that refer.
      def empty(context, reference, table, names)
        kept = context.draft.element(reference.id).ends.reject { |one| one.role == "emptied" }
        emptied = names.map { |name| Model::End.load(role: "emptied", target_id: column!(context.draft, table, name).id) }
        context.draft.put(:elements, context.draft.element(reference.id).with(ends: kept + emptied))
      end

      # That one table refers to another, by which columns being still open.
      def loose_reference(context, said)
        references(context.draft, said[:table].id).find { |one| one.target("to") == said[:other].id } ||
          context.add("reference", ends: [["from", said[:table].id], ["to", said[:other].id]])
      end

      def say_constraint(context, said, type)
        threaded(context, called(context, constrain(context, said[:table], type, said[:names].map(&:to_str)), said), said)
        context.show(said[:table])
      end

      # What names of columns tell, or what is written.
      def say_written(context, said, type)
        return say_constraint(context, said, type) unless said[:as_written]

        text = Physical::AsWritten.clean(type, said[:as_written])
        made = constrain(context, said[:table], type, Physical::AsWritten.columns(type, text), text)
        threaded(context, called(context, made, said), said)
        context.show(said[:table])
      end

      def say_check(context, said)
        threaded(context, called(context, check(context, said[:table], said[:expression]), said), said)
      end

      # @return [Model::Element] with the name that it has in the database, and when it is looked at, where that is said
      def called(context, element, said)
        [:called, *STANDING.map(&:to_sym)].each { |fact| context.set(element.id, fact.to_s, said[fact]) if said[fact] }
        context.draft.element(element.id)
      end

      def naming(unparser, element) =
        [*STANDING.filter_map { |fact| element[fact] }, *(element["called"] ? ["named", unparser.word(element["called"])] : [])]

      def uncheck(context, said)
        checks(context.draft, said[:table].id)
          .select { |one| one["expression"] == said[:expression] }
          .each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
      end

      # What was derived and nobody refined stands as it was derived.
      def threaded(context, element, said)
        return unless said[:thread]

        thread = Threads.thread(context.draft, said[:thread]) or return
        context.set(element.id, "thread", thread)
        context.set(element.id, "as_derived", said[:as_derived] || Refinement.plain(context.draft, context.draft.element(element.id)))
      end

      # Takes columns back that a sentence told and another in its place does not.
      def withdraw(context, said, other)
        old, fresh = [said, other].map { |one| one ? one[:columns].map { |item| Model::Names.clean(item.name) } : [] }
        old.each_with_index do |name, index|
          known = column(context.draft, said[:table].id, name) or next
          renamed = fresh.length == old.length && !old.include?(fresh[index]) ? fresh[index] : nil
          next context.draft.apply(Change::Remove.new(id: known.id)) unless fresh.include?(name) || renamed

          context.set(known.id, "name", renamed) if renamed
          %w[type key required default generated sequence numbering meaning].each { |fact| context.set(known.id, fact, nil) }
        end
      end

      def tell(unparser, table)
        columns = columns(unparser.set, table.id)
        [
          *unparser.say_list([unparser.thing(table.id), "has"], columns.map { |one| words(unparser, one) }),
          *tell_key(unparser, table, key_columns(unparser.set, table.id)),
          *(unparser.say(unparser.thing(table.id), "comes", *Threads.words(unparser, table)) if table["thread"]),
          *checks(unparser.set, table.id).map do |one|
            unparser.say(
              unparser.thing(table.id),
              "checks",
              unparser.lines(one["expression"].to_s),
              *naming(unparser, one),
              *Threads.words(unparser, one)
            )
          end
        ]
      end

      def tell_key(unparser, table, key)
        return [] if key == columns(unparser.set, table.id).select { |one| one["key"] }

        [unparser.say(unparser.thing(table.id), "is keyed by", *names(unparser, key))]
      end

      def words(unparser, column)
        [
          unparser.name(column.name),
          *(column["type"]&.then { |type| type_words(type) }),
          *FLAGS.filter_map { |fact, said| said if column[fact] },
          *TEXTS.flat_map { |fact, said| column[fact] ? [said, unparser.lines(column[fact])] : [] },
          *Threads.words(unparser, column)
        ]
      end

      def type_words(type) = type.match?(ColumnsSlot::TYPE) ? [type] : ["of type", Statements::Quoting.quote(type)]

      def tell_reference(unparser, reference)
        from, to =
          reference.targets("column").map { |id| unparser.set.element(id) },
          reference.targets("key").map { |id| unparser.set.element(id) }
        key = key_columns(unparser.set, reference.target("to"))
        if from.empty?
          return [unparser.say(unparser.thing(reference.target("from")), "refers to", unparser.thing(reference.target("to")))]
        end

        [
          unparser.say(
            unparser.thing(reference.target("from")),
            "refers to",
            unparser.thing(reference.target("to")),
            "by",
            *names(unparser, from),
            *(to.map(&:id) == key.map(&:id) ? [] : ["at", *names(unparser, to)]),
            *acting(unparser, reference),
            *("matching full" if reference["full"]),
            *naming(unparser, reference),
            *Threads.words(unparser, reference)
          )
        ]
      end

      def acting(unparser, reference)
        emptied = names(unparser, reference.targets("emptied").map { |id| unparser.set.element(id) })
        deleting = ["deleting", reference["deleting"], *(["of", *emptied] if emptied.any?)] if reference["deleting"]
        [*deleting, *(["updating", reference["updating"]] if reference["updating"])]
      end

      def tell_constraint(unparser, constraint)
        [
          unparser.say(
            unparser.thing(constraint.target("table")),
            CONSTRAINING.fetch(constraint["type"]),
            *constraining(unparser, constraint),
            *naming(unparser, constraint),
            *Threads.words(unparser, constraint)
          )
        ]
      end

      def constraining(unparser, constraint)
        return ["as", unparser.lines(constraint["as_written"])] if constraint["as_written"]

        ["by", *names(unparser, constraint.targets("column").map { |id| unparser.set.element(id) })]
      end

      def tell_minimum(unparser, minimum)
        columns = minimum.targets("column").map { |id| unparser.set.element(id) }
        [
          unparser.say(
            unparser.thing(minimum.target("table")),
            "needs at least",
            minimum["least"].to_s,
            unparser.thing(minimum.target("of")),
            "by",
            *names(unparser, columns),
            *Threads.words(unparser, minimum)
          )
        ]
      end

      def names(unparser, columns) = listed(unparser, columns.map(&:name))
      def listed(unparser, names) = names.flat_map { |one| [:comma, unparser.name(one)] }.drop(1)
    end
  end
end
