# frozen_string_literal: true

module Web
  module Families
    module Software
      # Classes from entities or tables, and entities from classes: what differs is shown and taken step by step.
      module DerivationRoutes
        extend Routing

        SHEET = EditRoutes::SHEET

        helped_by :Following

        %w[classes entities].each do |to|
          get "#{SHEET}/#{to}", needs: :see, answers: :page do
            with_project do |project|
              erb(:followed, locals: { project:, sheet: sheet(project), page: Following.page(project.set, sheet(project), to) })
            end
          end

          post "#{SHEET}/#{to}", needs: :edit, answers: :redirect, makes: "whatever the steps say" do
            with_project { |project| redirect sheet_path(follow(project, sheet(project), to)) }
          end
        end

        # Which way it goes, and onto which sheet.
        module Following
          class << self
            def page(set, sheet, to) = Presenters::FollowedPage.new(to, sheet, derivation(set, sheet, to), target(set, sheet, to))

            def derivation(set, sheet, to)
              things = set.things_on(sheet.id)
              return Basalt::Software::Derivation::ToEntities.new(set, things.select { |one| one.kind == "class" }) if to == "entities"

              Basalt::Software::Derivation::ToClasses.new(set, things.select { |one| %w[entity table].include?(one.kind) })
            end

            # @return [Basalt::Model::Sheet, nil] that shows what followed before
            def target(set, sheet, to)
              ids = set.things_on(sheet.id).flat_map { |one| followers(set, one, to) }
              ids.flat_map { |id| set.sheets_of(id) }.tally.select { |id, _| set.sheets[id].notation_name == to }.max_by(&:last)
                &.then { |id, _| set.sheets[id] }
            end

            # @return [Array<String>] ids of what followed something, or of what it followed
            def followers(set, one, to)
              threads = Basalt::Software::UseCases::Threads
              return threads.of(set, one.id).map { |thread| thread.target("source") } if to == "entities"

              threads.to(set, one.id).map { |thread| thread.target("of") }
            end
          end

          # @return [String] id of the sheet with what followed
          def follow(project, sheet, to)
            keys = params[:all] ? nil : Array(params[:steps]).map(&:to_s)
            raise Refusals::NothingTicked if keys && keys.empty?

            made = nil
            known = Following.target(project.set, sheet, to)&.id
            project.act(said: "made #{to} from #{sheet.name}", by: person, sheet_id: known || sheet.id) do |draft|
              Following.derivation(draft, sheet, to).into(draft, keys:)
              made = known || opened(draft, sheet, to)
              shown(draft, sheet, to, made)
            end
            project.act(said: "laid out the #{to}", by: person, sheet_id: made, tidy: true) { nil } unless known
            made
          end

          def opened(draft, sheet, to)
            context = Basalt::Statements::Context.new(draft)
            name = Basalt::Change::SheetTitle.free(draft, "#{sheet.name} as #{to}")
            Basalt::Statements::OpenSheet.of(context, name, to).tap { |id| signed(draft, id) }
          end

          def shown(draft, sheet, to, made)
            ids = draft.things_on(sheet.id).flat_map { |one| Following.followers(draft, one, to) }.uniq
            kinds = to == "classes" ? ["class"] : ["entity"]
            ids.select { |id| kinds.include?(draft.element(id)&.kind) }
              .each { |id| draft.apply(Basalt::Change::Show.new(sheet_id: made, element_id: id)) }
          end
        end
      end
    end
  end
end
