# frozen_string_literal: true

require "zip"

module Web
  module Families
    module Software
      # Source code, tags and XMI on their way in, and the structure on its way out.
      module CodeRoutes
        extend Routing

        SHEET = EditRoutes::SHEET
        CODE = "/projects/:project_id/code"

        helped_by :Coding

        # A file is looked at before anything is kept of it.
        post CODE, needs: :edit, answers: :redirect, makes: "an intake" do
          with_project do |project|
            upload = Upload.new(params[:file], what: "a file of source code, tags or XMI", limit: CodeFile::LIMIT)
            CodeFile.new(upload.name, upload.bytes)
            intake =
              Store::Intake.create!(id: SecureRandom.uuid, project_id: project.project_id, content: upload.bytes, file_name: upload.name)
            redirect project_path(project.project_id, "code/#{intake.id}")
          end
        end

        get "#{CODE}/:intake_id", needs: :see, answers: :page do
          with_project do |project|
            intake = code_intake
            task = intake.task("code")
            page = Presenters::CodePage.new(project.set, intake, task)
            erb(task ? :code_progress : :code, locals: { project:, intake:, code: page })
          end
        end

        post "#{CODE}/:intake_id/take", needs: :edit, answers: :redirect, makes: "Add, Set, Remove" do
          with_project do |project|
            intake = code_intake
            halt redirect(project_path(project.project_id, "code/#{intake.id}")) if intake.task("code")

            keys = params[:all] ? nil : Array(params[:steps]).map(&:to_s)
            raise Refusals::NothingTicked if keys && keys.empty?

            Store::Task.give(project.project_id, "code", { intake_id: intake.id, keys: }.compact, by: person)
            redirect project_path(project.project_id, "code/#{intake.id}")
          end
        end

        get "#{CODE}/:intake_id/progress", needs: :see, answers: :part do
          with_project do |project|
            intake = code_intake
            view(:code_state, project:, intake:, code: Presenters::CodePage.new(project.set, intake, intake.task("code")))
          end
        end

        post "#{CODE}/:intake_id/cancel", needs: :edit, answers: :redirect, makes: "an intake that stops" do
          code_intake.task("code")&.cancel
          redirect project_path(params[:project_id], "code/#{params[:intake_id]}")
        end

        # A sheet that shows a package, or a class with its neighbours.
        post "/projects/:project_id/class-sheets", needs: :edit, answers: :redirect, makes: "AddSheet, Show" do
          with_project do |project|
            made = nil
            project.act(said: "showed #{Basalt::Model::Names.short(params[:of].to_s)}", by: person) do |draft|
              made = Showing.sheet(draft, params)
              signed(draft, made)
            end
            project.act(said: "laid out the classes", by: person, sheet_id: made, tidy: true) { nil }
            redirect sheet_path(made)
          end
        end

        get "/projects/:project_id/model.xmi", needs: :see, answers: :file do
          with_project do |project|
            name = "#{Drawings::FileName.plain(project.name)}.xmi"
            download(name, "application/vnd.xmi+xml", Basalt::Software::Xmi::Writer.new(project.set).document)
          end
        end

        get "#{SHEET}/skeleton.zip", needs: :see, answers: :file do
          with_project do |project|
            files = Basalt::Software::Skeleton::Ruby.new(project.set, Coding.classes(project.set, sheet(project))).files
            download("#{Drawings::FileName.plain(sheet(project).name)}.zip", "application/zip", Coding.zipped(files))
          end
        end

        get "#{SHEET}/schema.json", needs: :see, answers: :file do
          with_project do |project|
            schema = Basalt::Software::Skeleton::JsonSchema.new(project.set, Coding.classes(project.set, sheet(project)))
            download("#{Drawings::FileName.plain(sheet(project).name)}.schema.json", "application/schema+json", schema.text)
          end
        end

        # What the routes share.
        module Coding
          # A file of another sort is none of these.
          def code_intake
            found = Store::Intake.find_by(id: id(params[:intake_id]), project_id: id(params[:project_id]))
            found && CodeFile.known?(found.file_name) ? found : raise(Refusals::NotFound, "intake")
          end

          # @return [Array<Basalt::Model::Element>]
          def self.classes(set, sheet)
            found = set.things_on(sheet.id).select { |one| one.kind == "class" }
            raise Basalt::Mistake, "There is no class on this sheet" if found.empty?

            found
          end

          def self.zipped(files)
            Zip::OutputStream.write_buffer do |out|
              files.sort.each { |name, text| out.put_next_entry(name).then { out.write(text) } }
            end.string
          end
        end

        # What a new sheet of classes is to show.
        module Showing
          module_function

          # @return [String] id of the sheet
          def sheet(draft, params)
            ids = ids(draft, params)
            title = params[:title].to_s.strip.empty? ? params[:of].to_s.strip : params[:title]
            id = draft.new_id
            name = Basalt::Change::SheetTitle.free(draft, title.empty? ? "Classes" : title)
            draft.apply(Basalt::Change::AddSheet.new(name:, notation: "classes", id:))
            draft.apply(ids.map { |one| Basalt::Change::Show.new(sheet_id: id, element_id: one) })
            id
          end

          def ids(draft, params)
            name = params[:of].to_s.strip
            return draft.of_kind("class", "package").map(&:id) if name.empty?

            found = draft.named(name, "package").first || draft.named(name, "class").first or
              raise Basalt::Mistake, "There is no package and no class “#{Basalt::Model::Names.short(name)}”"
            excerpt = Basalt::Software::Reverse::Excerpt.new(draft)
            found.kind == "package" ? excerpt.package(found.id) : excerpt.around(found.id, params[:depth].to_i)
          end
        end
      end
    end
  end
end
