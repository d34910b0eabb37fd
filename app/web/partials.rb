# frozen_string_literal: true

module Web
  # The parts that pages are made of: each is a template with the values it shows.
  module Partials
    def view(name, **locals) = erb(name, locals:, layout: false)

    # @param place [Symbol] see Extensions.panels
    # @return [Array<String>] what the families show there
    def panel_list(place, **about)
      Extensions.panels(place).map { |name, presenter| view(name, **about, **(presenter ? { panel: presenter.new(**about) } : {})) }
    end

    def panels(place, **about) = panel_list(place, **about).join

    # @param here [String, nil] the level that is looked at
    # @param way_down [Array<Presenters::Ancestry::Step>] the sheets that led there
    def rail(project, here = nil, way_down = []) =
      view(:_rail, project:, bands: Presenters::Strata.of(project.set, here, way_down.map(&:sheet)))

    # @param name [String] of a face that a family brings
    def face(project, sheet, name)
      found = Extensions.faces(sheet).find { |one| one.name == name } or return ""
      view(found.template, project:, sheet:, face: found.presenter.new(project:, sheet:))
    end

    def counts(findings) = view(:counts, counts: Presenters::Counts.of(findings))

    def findings(project, sheet, findings = project.findings_on(sheet.id))
      view(:findings, project:, sheet:, findings: Presenters::FindingList.new(project, sheet, findings))
    end

    def history(project, sheet)
      undo, again = project.history(sheet.id)
      view(:history, undo:, again:)
    end

    def layout_styles(sheet)
      styles = [["", "as #{sheet.notation_name} sheets are"], *Basalt::Drawing::LayoutStyle::ALL]
      view(:layout_styles, sheet:, styles: styles.map { |style, words| [style, words, sheet.layout_style.to_s == style] })
    end

    def sentences(sheet, reading) = view(:sentences, sheet:, reading: Presenters::Sentences.new(reading))

    # @param refused [Array<Basalt::Statements::ReadingPatch::Refused>]
    # @return [String] the sentences as a text to be edited
    def reading_editor(sheet, reading, refused = [])
      view(:reading_editor, sheet:, editor: Presenters::Sentences.new(reading).editor(refused))
    end

    def sheet_facts(project, sheet) = view(:sheet_facts, project:, sheet:, facts: Presenters::SheetFacts.new(project, sheet))

    def facts(project, sheet, element)
      presenter = Presenters::ElementFacts.new(project, sheet, element, occurrence(project.set, sheet, element))
      view(:facts, project:, sheet:, element:, facts: presenter)
    end

    def chosen_facts(project, sheet, ids)
      view(:chosen_facts, project:, sheet:, facts: Presenters::ChosenFacts.new(project, sheet, ids))
    end

    # @param kind [String, nil] the kind whose table is open
    def tabs(project, sheet, kind) = view(:tabs, sheet:, tabs: Presenters::RegisterTabs.new(project, sheet, kind))

    # Where the next line would go, once something was said on a sheet whose lines stand in order.
    #
    # @param cursor [Object, nil]
    def typing_place(project, sheet, cursor)
      return "" unless cursor.respond_to?(:spot)

      TypingPlace.keep(act_id, cursor)
      geometry = sheet.notation.ruled? ? Basalt::Drawing::Geometry.of(project.set, sheet.id) : nil
      part("#typing-place", view(:typing_place, y: geometry&.height(cursor.spot)&.round, answer: cursor.answer(project.set)))
    end

    # Rows of some tables as they were written last, by their elements, which are other objects when they are altered.
    ROWS = Recent.new(40)
    MOST_ROWS = 1000

    # @return [String] the rows of a table
    def row_list(table)
      sort = table.sort or return view(:row_list, rows: table.rows)
      known = ROWS.fetch(sort) { {}.compare_by_identity }
      known.clear if known.size > MOST_ROWS
      table.elements.map { |element| known[element] ||= view(:row_list, rows: [table.row(element)]) }.join
    end

    # See Presenters::Table.
    def table(project, sheet, kind, **about) = view(:table, sheet:, table: Presenters::Table.new(project, sheet, kind, **about))

    def sheet_acts(sheet) = view(:sheet_acts, sheet:, bands: Basalt::Model::Sheet::BANDS)

    # @param careful [Boolean] see Presenters::StepGroups
    def steps(steps, careful:) = view(:steps, groups: Presenters::StepGroups.of(steps, careful:))

    # The title of the page that a template is.
    def titled(text)
      request.env["basalt.title"] = text
      nil
    end

    def title = request.env["basalt.title"] || "Basalt"
  end
end
