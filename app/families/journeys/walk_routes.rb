# frozen_string_literal: true

module Web
  module Families
    module Journeys
      # Journeys are walked: on the drawing, and as pages with a picture for each step.
      module WalkRoutes
        extend Routing

        SHEET = EditRoutes::SHEET
        Core = Basalt::Journeys

        get("/projects/:project_id/journeys", needs: :see, answers: :page) do
          with_project { |project| erb(:journeys, locals: { project:, page: Presenters::JourneysPage.new(project) }) }
        end

        get "/projects/:project_id/journeys/:element_id", needs: :see, answers: :page do
          with_project do |project|
            walked = Core::Survey.of(project.set).journey(id(params[:element_id])) or raise Refusals::NotFound, "journey"
            erb(:journey, locals: { project:, page: Presenters::JourneyPage.new(project.set, walked) })
          end
        end

        # The sheet as it is at a step, or with all of them.
        get "/projects/:project_id/journeys/:element_id/picture.svg", needs: :see, answers: :file do
          with_project do |project|
            walked = Core::Survey.of(project.set).journey(id(params[:element_id])) or raise Refusals::NotFound, "journey"
            sheet_id = walked.ground.sheet_ids.first or raise Refusals::NotFound, "sheet"
            content_type "image/svg+xml", charset: "utf-8"
            StepPicture.svg(project.set, sheet_id, walked, params[:step], images: Pictures.embedded(project.project_id))
          end
        end

        # What is shown on the drawing while journeys are walked.
        get "#{SHEET}/walk", needs: :see, answers: :json do
          with_project do |project|
            content_type :json
            JSON.generate(Presenters::Walk.new(project.set, sheet(project).id, params[:journeys]).told)
          end
        end
      end
    end
  end
end
