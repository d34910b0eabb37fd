# frozen_string_literal: true

module Web
  # Projects, and the drawing register of each.
  module ProjectRoutes
    extend Routing

    get "/drawing.css", needs: :see, answers: :file do
      content_type :css
      cache_control :public, max_age: 3600
      # Declared before the page's own layers, whose marks of selection win.
      "@layer drawing{#{Basalt::Drawing::Pens.stylesheet}}"
    end

    # What forms carry so that they come from a page of Basalt's; a session that ran out gets it anew here.
    get "/session", needs: :see, answers: :json do
      content_type :json
      cache_control :no_store
      JSON.generate({ token: })
    end

    get "/projects/:project_id", needs: :see, answers: :page do
      with_project do |project|
        note_findings(project)
        erb(:project, locals: { project:, register: Presenters::DrawingRegister.new(project, last_acts(project)) })
      end
    end

    get "/projects/:project_id/search", needs: :see, answers: :page do
      with_project do |project|
        found = Presenters::SearchResults.new(project.set, params[:q].to_s)
        next view(:found, project:, found:) if htmx?

        erb(:project, locals: { project:, register: Presenters::DrawingRegister.new(project, last_acts(project), found:) })
      end
    end

    post "/projects/:project_id/sheets", needs: :edit, answers: :redirect, makes: "AddSheet" do
      with_project do |project|
        change =
          Basalt::Change::AddSheet.new(name: params[:name], notation: params[:notation].to_s, drawn_by: person, dated: Date.today.iso8601)
        project.act(said: "opened the sheet #{params[:name]}", by: person) { |draft| draft.apply(change) }
        redirect project_path(
          project.project_id,
          "sheets/#{project.set.sheets.by(:name, Basalt::Model::Names.clean(params[:name])).first.id}"
        )
      end
    end

    post "/projects/:project_id/set", needs: :edit, answers: :redirect, makes: "a file" do
      with_project do |project|
        type = params[:type].to_s
        raise Basalt::Mistake, "A set is a zip or a pdf, not “#{Basalt::Model::Names.short(type)}”" unless Drawings::SheetSet::TYPES.key?(type)

        task = Store::Task.give(project.project_id, "set", { type: }, by: person)
        redirect project_path(project.project_id, "tasks/#{task.id}")
      end
    end

    get "/projects/:project_id/project.json", needs: :see, answers: :file do
      project = Store::Project.find(id(params[:project_id]))
      content_type :json
      attachment "#{project.name.unicode_normalize(:nfd).gsub(/[^A-Za-z0-9 .-]/, "").strip.gsub(/\s+/, "-")}.json"
      Store::Archive.write(project.id)
    end

    post "/projects/documents", needs: :edit, answers: :redirect, makes: "a project" do
      upload = Upload.new(params[:file], limit: Basalt::Formats::ProjectDocument::LIMIT)
      redirect project_path(Store::Archive.read(upload.bytes) { |bytes| Drawings::SafeImage.new(bytes) }.id)
    end

    %w[undo redo].each do |turn|
      post "/projects/:project_id/#{turn}", needs: :edit, answers: :redirect, makes: "Revert" do
        with_project { |project| project.public_send(turn, by: person) }
        redirect project_path(params[:project_id])
      end
    end

    helped_by :LastActs

    # What was done last.
    module LastActs
      # @return [Hash{String => Store::JournalEntry}] the last act on each sheet
      def last_acts(project)
        Store::JournalEntry
          .where(project_id: project.project_id)
          .where.not(sheet_id: nil)
          .select("DISTINCT ON (sheet_id) project_id, number, sheet_id, said_by, at")
          .order(:sheet_id, number: :desc)
          .index_by(&:sheet_id)
      end
    end
  end
end
