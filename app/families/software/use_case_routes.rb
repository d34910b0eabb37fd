# frozen_string_literal: true

module Web
  module Families
    module Software
      # Who takes part in what, what happens there, and the questions that are still open.
      module UseCaseRoutes
        extend Routing

        SHEET = EditRoutes::SHEET
        UseCases = Basalt::Software::UseCases

        post "#{SHEET}/taking-part/:element_id/:other_id", needs: :edit, answers: :pieces, makes: "Add, Set, Remove" do
          on_sheet(->(draft) { "said how #{name_of(draft, :element_id)} takes part in #{name_of(draft, :other_id)}" }) do |draft, sheet|
            actor, use_case = [params[:element_id], params[:other_id]].map { |one| element(draft, one) }
            draft.apply(UseCases::TakingPart.new(draft, sheet.id).putting(actor.id, use_case.id, params[:state].to_s))
          end
        end

        post "#{SHEET}/access/:element_id/:other_id", needs: :edit, answers: :pieces, makes: "Add, Remove" do
          on_sheet(->(draft) { "said what #{name_of(draft, :element_id)} does with #{name_of(draft, :other_id)}" }) do |draft, sheet|
            use_case, kept = [params[:element_id], params[:other_id]].map { |one| element(draft, one) }
            draft.apply(UseCases::Access.new(draft, sheet.id).putting(use_case.id, kept.id, params[:letters]))
          end
        end

        { "taking-part" => UseCases::TakingPart, "access" => UseCases::Access }.each do |name, matrix|
          get "#{SHEET}/#{name}.csv", needs: :see, answers: :file do
            with_project { |project| download("#{name}.csv", "text/csv", matrix.new(project.set, sheet(project).id).csv) }
          end
        end

        # Whose use cases the sheet shows.
        post "#{SHEET}/use-case-system", needs: :edit, answers: :pieces, makes: "Add, Show, SetSubject" do
          with_project do |project|
            parts = perform(project, ->(_) { "said whose use cases these are" }) do |draft, sheet|
              UseCases::Subject.say(draft, sheet.id, params[:name].to_s)
            end
            parts + told_again(project)
          end
        end

        # What somebody answered to an open question, or why nobody does that.
        post "#{SHEET}/answers", needs: :edit, answers: :pieces, makes: "Add, Show" do
          with_project do |project|
            said = "answered: #{Basalt::Model::Names.short(params[:text].to_s.strip, 80)}"
            parts = perform(project, ->(_) { said }) { |draft, sheet| Questions.answer(draft, sheet, params) }
            parts + told_again(project)
          end
        end

        # The steps of a use case, typed as a text.
        post "#{SHEET}/description/:element_id", needs: :edit, answers: :pieces, makes: "Add, Set, Remove" do
          on_sheet(->(draft) { "described #{name_of(draft, :element_id)}" }) do |draft, _|
            use_case = element(draft, params[:element_id])
            raise Basalt::Mistake, "Only what happens in a use case is described in steps" unless use_case.kind == "use case"

            UseCases::DescriptionText.new(params[:text]).into(draft, use_case.id)
          end
        end

        helped_by :Questions

        # What the routes need of the model.
        module Questions
          def name_of(set, param) = set.element(params[param].to_s)&.name

          # The margin tells what is open now, where nothing is selected.
          def told_again(project)
            return "" unless params[:selected].to_s.empty? && params[:chosen].to_s.empty?

            part("#facts", sheet_facts(project, sheet(project)))
          end

          def self.answer(draft, sheet, params)
            system = UseCases::Subject.of(draft, sheet.id) or raise Basalt::Mistake, "Say first whose use cases the sheet shows"
            verb, source_id = params[:verb].to_s, params[:source].to_s
            raise Basalt::Mistake, "Nobody asked that" unless UseCases::Threads::VERBS.include?(verb)
            raise Basalt::Refusals::Gone, "what was asked about" unless draft.element(source_id)

            if params[:nobody]
              reason = params[:text].to_s.strip
              raise Basalt::Refusals::ReasonMissing if reason.empty?

              return draft.apply(UseCases::Threads.closing(draft, system.id, verb, source_id, reason))
            end
            draft.apply(UseCases::Answer.new(sheet_id: sheet.id, system_id: system.id, verb:, source_id:, text: params[:text].to_s))
          end
        end
      end
    end
  end
end
