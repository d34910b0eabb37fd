# frozen_string_literal: true

module Web
  # The journal as sentences: who did what, and when.
  module JournalRoutes
    extend Routing

    get "/projects/:project_id/journal", needs: :see, answers: :page do
      with_project do |project|
        sheet = params[:sheet] && project.set.sheets[id(params[:sheet])]
        element = params[:element] && element(project.set, params[:element])
        page = params[:page].to_i.clamp(0, 100_000)
        entries = Store::JournalEntry.told(project.project_id, sheet_id: sheet&.id, element_id: element&.id)
        size = Presenters::JournalPage::PAGE
        list = entries.offset(page * size).limit(size + 1).to_a
        erb(:journal, locals: { project:, journal: Presenters::JournalPage.new(project, list, page:, sheet:, element:) })
      end
    end
  end
end
