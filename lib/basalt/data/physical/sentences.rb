# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # The sentences about what a database holds beside tables.
      module Sentences
        TABLE = "thing(table)"
        ABOUT = "thing(table|view|#{Kinds::OBJECT})".freeze

        FORMS = [
          Statements::Form.new("<table:#{TABLE}> inherits from <parent:#{TABLE}> [<afterwards:afterwards>]", late: true) do |context, said|
            made = Sentences.inherit(context, said[:table], said[:parent])
            context.set(made.id, "afterwards", true) if said[:afterwards]
          end,
          Statements::Form.new("<table:#{TABLE}> is a partition of <parent:#{TABLE}> as <bounds:word>", late: true) do |context, said|
            Sentences.inherit(context, said[:table], said[:parent], said[:bounds])
          end,
          Statements::Form.new(
            "<owner:#{ABOUT}> adds <written:lines>",
            late: true,
            retract: ->(context, said, _) { Sentences.take_back(context, said[:owner], said[:written]) }
          ) { |context, said| Sentences.add(context, said[:owner], said[:written]) },
          Statements::Form.new("<object:thing(#{Kinds::OBJECT})> is one of <values:values>") do |context, said|
            Sentences.enumerate(context, said[:object], said[:values].map(&:to_str))
          end
        ].freeze

        QUALITIES = [
          Statements::Quality.new(
            Kinds::OBJECT,
            "written <written:lines>",
            tell: ->(unparser, object) { Sentences.tell_written(unparser, object) },
            take: ->(context, object, said) { context.set(object.id, "written", said[:written]) },
            clear: ->(context, object, _) { context.set(object.id, "written", nil) }
          ),
          Statements::Quality.new("table", "key written <key_written:word>"),
          Statements::Quality.new("table", "unlogged", fact: "unlogged"),
          Statements::Quality.new("table", "stored <stored:word>"),
          Statements::Quality.new("table", "partitioned by <partitioned:word>"),
          Statements::Quality.new("view", "materialised", fact: "materialised"),
          Statements::Quality.new("view", "headed <heading:word>"),
          Statements::Quality.new("view", "ending <ending:word>")
        ].freeze

        module_function

        def additions(set, id) = set.parts_of(id).select { |part| part.kind == "addition" }
        def inheritances(set, table_id) = set.relations_of(table_id, "inheritance").select { |one| one.target("table") == table_id }

        def inherit(context, table, parent, bounds = nil)
          known = inheritances(context.draft, table.id).find { |one| one.target("parent") == parent.id }
          known ||= context.add("inheritance", ends: [["table", table.id], ["parent", parent.id]])
          context.set(known.id, "bounds", bounds)
          context.show(parent)
          known
        end

        def add(context, owner, written)
          additions(context.draft, owner.id).find { |one| one["written"] == written } ||
            context.add("addition", facts: { "written" => written }, owner_id: owner.id)
        end

        def take_back(context, owner, written)
          additions(context.draft, owner.id)
            .select { |one| one["written"] == written }
            .each { |one| context.draft.apply(Change::Remove.new(id: one.id)) }
        end

        def enumerate(context, object, values)
          raise Mistake, "#{object.name} is no enumeration, and has no values" unless object.noun == Kinds::ENUMERATION

          context.set(object.id, "written", Enumeration.written(object.name, values))
        end

        # What the values of an enumeration tell is told by them.
        def tell_written(unparser, object)
          object["written"].nil? || Enumeration.plain(object) ? [] : [["written", unparser.lines(object["written"])]]
        end

        # What is told behind the declaration of a table, a view or another object.
        def tell(unparser, thing)
          [
            *(Enumeration.plain(thing)&.then { |values| tell_values(unparser, thing, values) } if thing.kind == Kinds::OBJECT),
            *additions(unparser.set, thing.id).map do |one|
              unparser.say(unparser.thing(thing.id), "adds", unparser.lines(one["written"].to_s))
            end
          ]
        end

        def tell_values(unparser, object, values) =
          [unparser.say(unparser.thing(object.id), "is one of", *Tabling.listed(unparser, values))]

        def tell_inheritance(unparser, one)
          table, parent = %w[table parent].map { |role| unparser.thing(one.target(role)) }
          return [unparser.say(table, "inherits from", parent, *("afterwards" if one["afterwards"]))] unless one["bounds"]

          [unparser.say(table, "is a partition of", parent, "as", Statements::Quoting.quote(one["bounds"]))]
        end
      end
    end
  end
end
