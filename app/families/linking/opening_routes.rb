# frozen_string_literal: true

module Web
  module Families
    module Linking
      # The sheets that one element opens into.
      module OpeningRoutes
        extend Routing

        OPENINGS = "#{EditRoutes::SHEET}/openings".freeze
        # Titles that are offered while one is typed.
        MOST = 40

        helped_by :Openings

        post "#{OPENINGS}/:element_id", needs: :edit, answers: :pieces, makes: "Link" do
          on_sheet(->(draft) { "linked #{Acting.title(draft, draft.element(params[:element_id]))} with #{params[:sheet]}" }) do |draft, _|
            thing = element(draft, params[:element_id])
            title = params[:title].to_s.strip.empty? ? nil : params[:title]
            draft.apply(Basalt::Change::Link.new(element_id: thing.id, sheet_id: meant_sheet(draft, params[:sheet]).id, title:))
          end
        end

        post "#{OPENINGS}/:element_id/made", needs: :edit, answers: :redirect, makes: "AddSheet, SetSubject, Show" do
          with_project do |project|
            thing = element(project.set, params[:element_id])
            opener = opener(project.set, thing, params[:opener])
            made = nil
            project.act(said: "opened a sheet of #{thing.name}: #{opener.name}", by: person) do |draft|
              made = opener.draw(draft, draft.element(thing.id))
              finish_sheet(draft, made)
            end
            lead_to(made)
          end
        end

        post "#{OPENINGS}/links/:link_id/taken-away", needs: :edit, answers: :pieces, makes: "Unlink" do
          on_sheet(->(draft) { "unlinked #{unlinked(draft)}" }) do |draft, _|
            draft.apply(Basalt::Change::Unlink.new(id: id(params[:link_id])))
          end
        end

        post "#{OPENINGS}/links/:link_id/title", needs: :edit, answers: :pieces, makes: "SetLinkTitle" do
          on_sheet("called a link #{Basalt::Model::Names.short(params[:title].to_s)}") do |draft, _|
            draft.apply(Basalt::Change::SetLinkTitle.new(id: id(params[:link_id]), title: params[:title]))
          end
        end

        get "/projects/:project_id/sheet-titles", needs: :see, answers: :part do
          with_project do |project|
            asked = params[:sheet].to_s.downcase
            found = project.set.sheets.each.lazy.map(&:name).select { |name| name.downcase.include?(asked) }
            view(:sheet_titles, titles: found.first(MOST))
          end
        end

        # What the routes need of the model.
        module Openings
          # @return [Basalt::Model::Sheet] by its title or its number
          def meant_sheet(set, words)
            words = words.to_s.strip
            raise Basalt::Mistake, "Say which sheet: its title, or its number" if words.empty?

            set.sheets.by(:name, words.unicode_normalize(:nfc)).first || set.sheets.each.find { |one| one.number == words } or
              raise Basalt::Mistake, "There is no sheet “#{Basalt::Model::Names.short(words)}”"
          end

          def opener(set, thing, name)
            Basalt::Openers.for(set, thing).find { |one| one.name == name } or
              raise Basalt::Mistake, "There is no rule by which #{thing.name} would have a sheet of that kind"
          end

          def finish_sheet(draft, sheet_id)
            signed(draft, sheet_id)
            Basalt::Drawing::Arranger.new(draft, sheet_id).tidy
          end

          def unlinked(draft)
            link = draft.base.links[params[:link_id]]
            link ? draft.element(link.element_id).name : "something"
          end
        end
      end
    end
  end
end
