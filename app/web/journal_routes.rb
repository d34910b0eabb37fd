# frozen_string_literal: true

module Web
  # The journal as sentences: who did what, and when.
  module JournalRoutes
    extend Routing

    PAGE = 100

    get "/projects/:project_id/journal", needs: :see, answers: :page do
      at_desk do |desk|
        sheet = params[:sheet] && desk.set.sheets[id(params[:sheet])]
        element = params[:element] && element(desk.set, params[:element])
        page = params[:page].to_i.clamp(0, 100_000)
        entries = Store::JournalEntry.told(desk.project_id, sheet_id: sheet&.id, element_id: element&.id)
        erb(:journal, locals: { desk:, sheet:, element:, page:, entries: entries.offset(page * PAGE).limit(PAGE + 1).to_a })
      end
    end
  end
end
