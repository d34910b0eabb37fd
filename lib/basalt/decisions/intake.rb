# frozen_string_literal: true

module Basalt
  module Decisions
    # Takes records in: what is known by its number is altered, the others are new.
    class Intake
      # @param draft [Change::Draft]
      # @param sheet_id [String, nil] on which they are shown
      def initialize(draft, sheet_id: nil)
        @draft = draft
        @sheet_id = sheet_id
      end

      # @param records [Array<Record::Read>]
      # @return [Integer] how many
      # @raise [Mistake] naming the line of the record that cannot be taken
      def take(records)
        made = records.map { |record| on_line(record) { decision(record) } }
        records.zip(made) { |record, one| on_line(record) { replaces(record, one) } }
        made.length
      end

      # @return [String] the number of the next decision: as the last has it, one higher
      def self.next_name(set)
        last = set.of_kind(Kinds::DECISION).map(&:name).grep(/\d+\z/).max_by { |name| name[/\d+\z/].to_i } || "D0"
        Model::Names.following(last) { |name| set.named(name, Kinds::DECISION).any? }
      end

      private

      def on_line(record)
        yield
      rescue Mistake => e
        raise Mistake, "line #{record.line}: #{e.message}"
      end

      # A bare number is a record's that was kept in a file of its own.
      def name(record)
        return Intake.next_name(@draft) unless record.name

        record.name.match?(/\A\d+\z/) ? "D#{record.name.to_i}" : record.name
      end

      def decision(record)
        name = name(record)
        known = named(name) || @draft.put(:elements, fresh(name))
        record.facts.each { |fact, value| @draft.apply(Change::Set.new(id: known.id, fact:, value: value[0, 1900])) }
        record.options.each { |option| take_option(known.id, option) }
        @draft.apply(Change::Show.new(sheet_id: @sheet_id, element_id: known.id)) if @sheet_id
        known
      end

      def fresh(name) = Model::Element.new(id: @draft.new_id, kind: Kinds::DECISION, name: Model::Names.clean(name))
      def named(name) = @draft.named(name, Kinds::DECISION).first

      def take_option(decision_id, option)
        name = Model::Names.clean(option["name"][0, Model::Names::LIMIT])
        known = @draft.parts_of(decision_id).find { |one| one.name == name }
        id = known&.id || @draft.new_id
        @draft.apply(Change::Add.new(kind: Kinds::OPTION, name:, owner_id: decision_id, id:)) unless known
        %w[for against].each { |fact| @draft.apply(Change::Set.new(id:, fact:, value: option[fact])) unless option[fact].to_s.empty? }
      end

      def replaces(record, decision)
        record.replaces.each do |name|
          earlier = named(name) || named("D#{name[/\d+/].to_i}")
          raise Mistake, "it replaces #{Model::Names.short(name)}, which is not there" unless earlier

          Sentences.replace(Statements::Context.new(@draft), { decision:, earlier: })
        end
      end
    end
  end
end
