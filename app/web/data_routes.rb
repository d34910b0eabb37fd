# frozen_string_literal: true

module Web
  # From entities to tables, to SQL, to the proof that a server accepts it.
  module DataRoutes
    SHEET = EditRoutes::SHEET

    def self.registered(app)
      app.helpers(Deriving)

      app.get("#{SHEET}/derive") do
        at_desk do |desk|
          sheet = sheet(desk)
          erb(:derive, locals: { desk:, sheet:, steps: derivation(desk.set, sheet).steps, target: target(desk.set, sheet) })
        end
      end

      app.post("#{SHEET}/derive") do
        at_desk do |desk|
          sheet = sheet(desk)
          keys = params[:all] ? nil : Array(params[:steps]).map(&:to_s)
          raise Basalt::Mistake, "Choose what is to be taken first" if keys && keys.empty?

          to = derive(desk, sheet, keys)
          redirect "#{project_path(desk.project_id, "sheets/#{to}")}"
        end
      end

      proving(app)
    end

    def self.proving(app)
      app.get("#{SHEET}/schema.sql") do
        at_desk do |desk|
          content_type "application/sql", charset: "utf-8"
          attachment "#{sheet(desk).name.unicode_normalize(:nfd).gsub(/[^A-Za-z0-9 .-]/, '').strip.gsub(/\s+/, '-')}.sql"
          script(desk.set, sheet(desk)).text
        end
      end

      app.post("#{SHEET}/proof") do
        at_desk do |desk|
          statements = script(desk.set, sheet(desk)).statements
          raise Basalt::Mistake, "There are no tables on this sheet to prove" if statements.empty?

          part("#answer", view(:proof, desk:, outcome: Store::Proof.of(statements), statements:))
        end
      end
    end

    # What the routes need of the model.
    module Deriving
      # @return [Basalt::Model::Sheet, nil] the sheet that shows the tables of these entities already
      def target(set, sheet)
        ids = set.things_on(sheet.id).map(&:id)
        tables = set.of_kind("table").select { |table| ids.include?(Basalt::Data::Threads.source(set, table)&.id) }
        tables.flat_map { |table| set.sheets_of(table.id) }.tally.max_by(&:last)&.first&.then { |id| set.sheets[id] }
      end

      def derivation(set, sheet, to = target(set, sheet)&.id)
        Basalt::Data::Logical::Derivation.new(set, sheet_id: to, mapping: Basalt::Data::Logical::Mapping.new(set))
      end

      # @return [String] id of the sheet with the tables
      def derive(desk, sheet, keys)
        known = target(desk.set, sheet)&.id
        made = nil
        desk.act(said: "derived tables from #{sheet.name}", by: person, sheet_id: known || sheet.id) do |draft|
          made = known || Basalt::Statements::Opening.of(Basalt::Statements::Context.new(draft), "#{sheet.name}, tables", "tables")
          derivation(draft, sheet, made).into(draft, keys:)
        end
        desk.act(said: "laid out the tables", by: person, sheet_id: made, tidy: true) { nil } unless known
        made
      end

      def script(set, sheet) = Basalt::Data::Physical::Script.new(set, set.things_on(sheet.id).select { |thing| thing.kind == "table" })
    end
  end
end
