# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # A schema that was read, before anything of it is taken.
        class SchemaIntake
          # @param intake [Store::Intake]
          # @param tasks [ActiveRecord::Relation] of the project
          def initialize(set, intake, tasks)
            @set = set
            @intake = intake
            @pull = tasks.where(kind: SchemaPullWork::KIND).where("result ->> 'intake_id' = ?", intake.id).first
          end

          def id = @intake.id
          def name = File.basename(@intake.file_name, ".sql")

          # @return [String, nil] where it was read
          def where = @pull&.arguments&.fetch("where", nil)

          # @return [Array<String>] names of what the role could not read
          def unreadable = @pull&.result&.fetch("unreadable", nil) || []

          # @return [Array<String>] what it holds, counted by what it is
          def held
            things = read.of_kind(*ProofWork::MADE).map(&:noun)
            { "table" => 0 }.merge(things.tally).map { |noun, count| Basalt::English.count(count, noun) }
          end

          # @return [Integer] how many statements are kept as SQL
          def kept = read && @told.count(&:kept)

          # @return [Array<Basalt::Data::Physical::Reading::Told>] what cannot be taken
          def missing = read && @told.reject(&:kept)

          # @return [Array<Basalt::Model::Sheet>] of tables, to which it could be brought
          def sheets = @set.sheet_list.select { |sheet| sheet.notation_name == "tables" }

          private

          def read
            @read ||= Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new).tap do |draft|
              @told = Basalt::Data::Physical::Schema.new(@intake.content).into(draft)
            end
          end
        end
      end
    end
  end
end
