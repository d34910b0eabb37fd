# frozen_string_literal: true

module Web
  # The tables of a sheet, filled in like a spreadsheet.
  module RegisterRoutes
    extend Routing

    SHEET = EditRoutes::SHEET
    MOST_NAMES = 500

    helped_by :Tables

    get "#{SHEET}/register/:kind", needs: :see, answers: :part do
      with_project do |project|
        raise Refusals::NotFound, "table" unless Basalt::Model::Catalogue.kinds.key?(params[:kind])

        sheet = sheet(project)
        next rows_after(project, sheet) if from.positive?

        part("#tabs", tabs(project, sheet, params[:kind])) + table(project, sheet, params[:kind], order:)
      end
    end

    # The parts of one thing, for the margin.
    get "#{SHEET}/parts-of/:element_id/:kind", needs: :see, answers: :part do
      with_project do |project|
        raise Refusals::NotFound, "table" unless sheet(project).notation.parts.include?(params[:kind])

        owner = element(project.set, params[:element_id])
        next rows_after(project, sheet(project), owner:) if from.positive?

        table(project, sheet(project), params[:kind], order:, owner:)
      end
    end

    # Names that a cell can refer to.
    get "#{SHEET}/names/:kind/:key", needs: :see, answers: :part do
      with_project do |project|
        column =
          Basalt::Register::Columns
            .of(sheet(project).notation, params[:kind])
            .find { |one| one.key == params[:key] } if Basalt::Model::Catalogue.kinds.key?(params[:kind])
        raise Refusals::NotFound, "column" unless column&.reference?

        view(:names, names: project.set.of_kind(*column.kinds).filter_map(&:name).uniq.sort.first(MOST_NAMES))
      end
    end

    post "#{SHEET}/cells", needs: :edit, answers: :pieces, makes: "Add, Set, Rejoin" do
      with_project do |project|
        owner = params[:owner].to_s.empty? ? nil : element(project.set, params[:owner])
        entry =
          Basalt::Register::Entry.new(
            sheet(project),
            Tables.kind(params[:parts] || params[:kind]),
            Tables.cells(params[:cells]),
            owner_id: owner&.id
          )
        acted =
          act_on(project, ->(_, taken) { Tables.said(entry, taken) }) do |draft, _|
            entry.into(draft).tap { project.keep_answer(made: entry.made, refused: entry.refused.map(&:to_h)) }
          end
        answer(project, acted, entry:)
      end
    end

    # What tables are asked for and given.
    module Tables
      # How many rows a page has already.
      def from = params[:from].to_i.clamp(0, 1_000_000)

      def rows_after(project, sheet, owner: nil)
        view(:rows, sheet:, table: Presenters::Table.new(project, sheet, params[:kind], order:, owner:, from:))
      end

      def order = { by: params[:by].to_s, down: params[:down] == "yes", filter: params[:filter].to_s.strip[0, 200] }

      class << self
        def kind(name)
          Basalt::Model::Catalogue.kinds.key?(name) ? name : raise(Basalt::Mistake, "There is no such table")
        end

        # @return [Array<Array(String, String, String)>]
        def cells(text)
          cells = JSON.parse(text.to_s, max_nesting: 3)
          fine =
            cells.is_a?(Array) && cells.length <= Basalt::Register::Entry::MOST &&
            cells.all? { |cell| cell.is_a?(Array) && cell.length == 3 && cell.all?(String) }
          fine ? cells : raise(Basalt::Mistake, "Cells are rows, columns and texts, at most #{Basalt::Register::Entry::MOST} at a time")
        rescue JSON::ParserError
          raise Refusals::Malformed, "The cells"
        end

        def said(entry, taken)
          made = entry.made.length
          if made.positive?
            "filled in #{Basalt::English.count(made, "new row")} of the register"
          else
            "set #{Basalt::English.count(taken, "cell")} of the register"
          end
        end
      end
    end
  end
end
