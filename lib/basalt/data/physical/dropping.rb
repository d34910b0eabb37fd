# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # What a script takes away again.
      class Dropping
        PARTS = %i[OBJECT_TRIGGER OBJECT_RULE OBJECT_POLICY].freeze

        def initialize(reading)
          @reading = reading
        end

        # @param made [PgQuery::DropStmt]
        # @return [true]
        def take(made)
          made.objects.each do |node|
            gone = find(made.remove_type, node)
            raise Mistake, "#{title(node)} is not made by the script" if gone.nil? && !made.missing_ok

            remove(gone, made.behavior == :DROP_CASCADE) if gone
          end
          true
        end

        private

        def draft = @reading.draft

        # @return [Model::Element, Symbol, nil] nil where there is none
        def find(type, node)
          return About.new(@reading).object(type, node) if node.object_with_args || node.type_name || node.string

          names = node.list.items.filter_map { |one| one.string&.sval }
          case type
          when *PARTS then part(names)
          when :OBJECT_INDEX then @reading.indexed(names)&.last || kept_index(names.last)
          when :OBJECT_SEQUENCE then sequence(names)
          when :OBJECT_STATISTIC_EXT then draft.of_kind("addition").find { |one| Keeping.adds?(one["written"], names.last) }
          else @reading.called(names)
          end
        end

        def sequence(names)
          known = @reading.sequence(names) or return @reading.called(names)
          @reading.sequences.drop(known)
          :dropped
        end

        def part(names)
          owner = @reading.called(names[0..-2]) or return
          Sentences.additions(draft, owner.id).find { |one| Keeping.adds?(one["written"], names.last) }
        end

        def kept_index(name) = draft.of_kind("addition").find { |one| Keeping.adds?(one["written"], name) }

        def title(node)
          return Keeping.strings(node.object_with_args.objname).last if node.object_with_args
          return Keeping.strings(node.type_name.names).last if node.type_name

          node.string&.sval || node.list.items.filter_map { |one| one.string&.sval }.last
        end

        # What rests on it goes too where that is said.
        def remove(gone, cascade)
          return if gone == :dropped

          resting(gone).each { |one| remove(one, true) if draft.element(one.id) } if cascade && gone.name
          draft.apply(Change::Remove.new(id: gone.id)) if draft.element(gone.id)
        end

        def resting(gone)
          return inside(gone) if gone["type"] == "schema"

          bare = Needs.bare(gone)
          draft.of_kind("view", "addition").select do |one|
            one.id != gone.id && Words.of(one["query"], one["written"]).any? { |names| names.include?(bare) }
          end
        end

        def inside(schema) = draft.of_kind("table", "view", Kinds::OBJECT).select { |one| Needs.parts(one).first == schema.name }
      end
    end
  end
end
