# frozen_string_literal: true

module Web
  # The projects: opened, renamed, duplicated, put away and brought back, removed for good.
  module ProjectListRoutes
    extend Routing

    PROJECT = "/projects/:project_id"
    # A project as the list tells of it.
    Told = Basalt::Value.of(:id, :name, :sheets, :findings, :said_by, :at, :put_away)

    helped_by :List

    get "/", needs: :see, answers: :page do
      projects = told_projects.reject(&:put_away)
      projects.one? ? redirect(project_path(projects.first.id)) : erb(:projects, locals: parted_projects)
    end

    get("/projects", needs: :see, answers: :page) { erb(:projects, locals: parted_projects) }
    post("/projects", needs: :edit, answers: :redirect, makes: "a project") do
      redirect project_path(Store::Project.open(params[:name]).id)
    end

    post "#{PROJECT}/renamed", needs: :edit, answers: :redirect, makes: "another name of the project" do
      Store::Project.find(id(params[:project_id])).rename(Basalt::Model::Names.clean(params[:name]))
      redirect "/projects"
    end

    post "#{PROJECT}/copied", needs: :edit, answers: :redirect, makes: "a project" do
      project = Store::Project.find(id(params[:project_id]))
      copy = Store::Archive.read(Store::Archive.write(project.id)) { |bytes| Drawings::SafeImage.new(bytes) }
      copy.update!(name: Basalt::Model::Names.short("#{project.name} (copy)", 190))
      redirect "/projects"
    end

    { "put-away" => true, "brought-back" => false }.each do |path, away|
      post "#{PROJECT}/#{path}", needs: :edit, answers: :redirect, makes: "a mark of the project" do
        Store::Project.find(id(params[:project_id])).update!(put_away_at: away ? Time.now.utc : nil)
        redirect "/projects"
      end
    end

    # For good: whoever does it writes the name.
    post "#{PROJECT}/removed-for-good", needs: :own, answers: :redirect, makes: "nothing is left of the project" do
      project = Store::Project.find(id(params[:project_id]))
      unless params[:name].to_s.strip == project.name
        raise Basalt::Mistake, "The project is removed for good when its name “#{project.name}” is written as it is"
      end

      project.remove
      redirect "/projects"
    end

    # What the list shows.
    module List
      TOLD = <<~SQL
        SELECT p.id, p.name, p.open_findings, p.put_away_at, (SELECT count(*) FROM sheets s WHERE s.project_id = p.id) AS sheets, j.said_by, j.at
        FROM projects p LEFT JOIN LATERAL (SELECT said_by, at FROM journal WHERE project_id = p.id ORDER BY number DESC LIMIT 1) j ON true ORDER BY p.created_at
      SQL

      # @return [Array<Told>]
      def told_projects
        ActiveRecord::Base
          .connection
          .exec_query(TOLD, "projects")
          .map do |row|
            Told.new(
              id: row["id"],
              name: row["name"],
              sheets: row["sheets"],
              findings: row["open_findings"],
              said_by: row["said_by"],
              at: row["at"],
              put_away: !row["put_away_at"].nil?
            )
          end
      end

      # @return [Hash{Symbol => Array<Told>}] those that are there, and those that were put away
      def parted_projects = told_projects.partition { |project| !project.put_away }.then { |there, away| { there:, away: } }

      # The list tells how many findings were open when they were last worked out.
      def note_findings(project)
        open = project.findings.length
        Store::Project.where(id: project.project_id).where("open_findings IS DISTINCT FROM ?", open).update_all(open_findings: open)
      end
    end
  end
end
