# frozen_string_literal: true

module Web
  module Families
    module Brief
      # Requirements, and what meets them.
      module Routes
        extend Routing

        SHEET = EditRoutes::SHEET

        get("/projects/:project_id/coverage", needs: :see, answers: :page) do
          with_project { |project| erb(:coverage, locals: { project:, coverage: Presenters::CoveragePage.new(project.set, Basalt::Brief::Coverage.new(project.set)) }) }
        end
        get("/projects/:project_id/coverage.csv", needs: :see, answers: :file) do
          with_project { |project| download("coverage.csv", "text/csv", Basalt::Brief::Coverage.new(project.set).csv) }
        end
        get("/projects/:project_id/requirements.csv", needs: :see, answers: :file) do
          with_project { |project| download("requirements.csv", "text/csv", Basalt::Brief::RequirementList.csv(project.set)) }
        end
        get("/projects/:project_id/requirements.md", needs: :see, answers: :file) do
          with_project { |project| download("requirements.md", "text/markdown", Basalt::Brief::RequirementList.markdown(project.set)) }
        end

        post "#{SHEET}/requirements", needs: :edit, answers: :pieces, makes: "Add, Set, Show" do
          rows = Covering.rows(params[:file])
          on_sheet(->(_) { "brought in #{Basalt::English.count(rows.length, "requirement")}" }) do |draft, sheet|
            Basalt::Brief::RequirementList.into(draft, rows, sheet_id: sheet.id)
          end
        end

        post "#{SHEET}/numbering", needs: :edit, answers: :pieces, makes: "Add, Set" do
          on_sheet(->(_) { "agreed how requirements are numbered" }) { |draft, _| Covering.number(draft, params[:pattern].to_s.strip) }
        end

        # That something meets a requirement, by its number; or no longer.
        post "#{SHEET}/met/:element_id", needs: :edit, answers: :pieces, makes: "Add, Remove" do
          on_sheet(->(draft) { "said what #{Acting.title(draft, draft.element(params[:element_id]))} meets" }) do |draft, _|
            thing = element(draft, params[:element_id])
            requirement = Covering.requirement(draft, params[:number].to_s)
            met = Basalt::Brief::Satisfaction.of(draft, thing.id, requirement.id)
            draft.apply(
              (
                if params[:no]
                  met.map { |one| Basalt::Change::Remove.new(id: one.id) }
                else
                  Basalt::Brief::Satisfaction.joining(draft, "meets", thing.id, requirement.id)
                end
              )
            )
          end
        end

        # What the routes need of requirements.
        module Covering
          class << self
            # @return [Array<Hash>] of a file: CSV, or Markdown by its name or its look
            def rows(file)
              upload = Upload.new(file, limit: Basalt::Statements::Document::LIMIT)
              list = Basalt::Brief::RequirementList
              return list.items(Basalt::Formats::PlainText.read(upload.bytes)) if upload.ends_with?("md", "markdown")

              list.rows(Basalt::Formats::CSV.new(upload.bytes))
            end

            def number(draft, pattern)
              unless pattern.empty? || pattern.match?(Basalt::Brief::Satisfaction::FIGURES)
                raise Basalt::Mistake, "A pattern says where the figures stand, such as REQ-{000}"
              end

              known = draft.of_kind("numbering").first || Basalt::Change::Add.new(kind: "numbering", name: "Requirements").apply(draft)
              draft.apply(Basalt::Change::Set.new(id: known.id, fact: "pattern", value: pattern.empty? ? nil : pattern))
            end

            def requirement(set, number)
              set.named(number.strip, "requirement").first or
                raise Basalt::Mistake, "There is no requirement “#{Basalt::Model::Names.short(number)}”"
            end
          end
        end
      end
    end
  end
end
