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
