# frozen_string_literal: true

module Web
  module Families
    module Journeys
      # Journeys are begun, said step by step, and what they lack is made where they are walked.
      module Routes
        extend Routing

        SHEET = EditRoutes::SHEET
        Core = Basalt::Journeys

        helped_by :Walking

        # One more is walked on the sheet.
        post "#{SHEET}/journeys", needs: :edit, answers: :pieces, makes: "Add, Show" do
          name = params[:name].to_s
          on_sheet(->(_) { "began the journey #{Basalt::Model::Names.short(name)}" }) do |draft, sheet|
            Fresh.new(nil, [Walking.begin(draft, sheet, name, params[:who].to_s.strip).id])
          end
        end

        # One that is walked elsewhere is walked here too, or no longer.
        post "#{SHEET}/journeys-here/:element_id", needs: :edit, answers: :pieces, makes: "Show, TakeOff" do
          on_sheet(->(draft) { "#{params[:on] == "no" ? "left out" : "walked"} #{journey(draft).name} here" }) do |draft, sheet|
            draft.apply(Walking.here(sheet.id, journey(draft).id, params[:on] != "no"))
            nil
          end
        end

        # Its steps, typed as a text.
        post "#{SHEET}/journey/:element_id", needs: :edit, answers: :pieces, makes: "Add, Set, Remove" do
          on_sheet(->(draft) { "said the steps of #{draft.element(params[:element_id])&.name}" }) do |draft, sheet|
            Core::Script.new(params[:text]).into(draft, journey(draft).id, sheet_id: sheet.id)
            nil
          end
        end

        # What steps name and nobody knows is declared on the sheet.
        post "#{SHEET}/journey-part", needs: :edit, answers: :pieces, makes: "Add, Show" do
          on_sheet(->(_) { "made #{Basalt::Model::Names.short(params[:name].to_s)} for a journey" }) do |draft, sheet|
            Walking.part(draft, sheet, params[:noun].to_s, params[:name].to_s)
            nil
          end
        end

        # What a step goes between is joined.
        post "#{SHEET}/journey-joined/:element_id", needs: :edit, answers: :pieces, makes: "Join" do
          on_sheet(->(_) { "joined what a journey goes between" }) do |draft, sheet|
            Walking.join(draft, sheet, element(draft, params[:element_id]), params[:kind].to_s)
            nil
          end
        end

        # The steps as what is said between participants, on a sheet of its own.
        post "#{SHEET}/journey-interaction/:element_id", needs: :edit, answers: :redirect, makes: "AddSheet, Add" do
          with_project do |project|
            made = nil
            project.act(said: "began an interaction from a journey", by: person) do |draft|
              one = journey(draft)
              made = open_sheet(draft, one.name, Core::Interaction::NOTATION)
              Core::Interaction.new(draft, one.id, from: params[:step]).into(made)
            end
            lead_to(made)
          end
        end

        # Which states a thing goes through, or by what it is asked; nothing takes it back.
        post "#{SHEET}/journey-declared/:element_id", needs: :edit, answers: :pieces, makes: "Add, Set, Remove" do
          on_sheet(->(draft) { "said of #{draft.element(params[:element_id])&.name} what journeys need" }) do |draft, sheet|
            Walking.declare(draft, sheet, element(draft, params[:element_id]), params)
            nil
          end
        end

        # What the routes need of the model.
        module Walking
          # @raise [Basalt::Mistake] where something else is meant
          def journey(set)
            one = element(set, params[:element_id])
            one.kind == Core::Kinds::JOURNEY ? one : raise(Basalt::Mistake, "That is no journey")
          end

          class << self
            def begin(draft, sheet, name, who)
              raise Basalt::Mistake, "A journey is called by what is done: “Report a leak”" if name.strip.empty?

              facts = { "who" => who.empty? ? nil : who }.compact
              one = Basalt::Change::Add.new(kind: Core::Kinds::JOURNEY, name:, facts:, id: draft.new_id)
              draft.apply(one, Basalt::Change::Show.new(sheet_id: sheet.id, element_id: one.id))
              draft.element(one.id)
            end

            # @return [Object] the change
            def here(sheet_id, element_id, walked)
              change = walked ? Basalt::Change::Show : Basalt::Change::TakeOff
              change.new(sheet_id:, element_id:)
            end

            def part(draft, sheet, noun, name)
              raise Basalt::Mistake, "Say what #{Basalt::Model::Names.short(name)} is" unless Presenters::Lacking.nouns(sheet).include?(noun)

              Acting.say(draft, sheet, "#{noun} #{Basalt::Statements::Quoting.quote(name)}")
            end

            def join(draft, sheet, step, kind)
              walked = Core::Survey.of(draft).journeys.flat_map(&:steps).find { |one| one.element.id == step.id }
              raise Basalt::Mistake, "Both ends of the step have to be there before they are joined" unless walked&.from && walked.to

              draft.apply(Core::Joining.new(step: walked, sheet_id: sheet.id, kind:))
            end

            def declare(draft, sheet, thing, params)
              context = Basalt::Statements::Context.new(draft, sheet_id: sheet.id)
              states(context, thing, params[:states].to_s) if params.key?(:states)
              asking(context, thing, params[:asked].to_s) if params.key?(:asked)
            end

            private

            def states(context, thing, text)
              names, ends = text.split(/\s+ending as\s+/, 2).map { |list| list.split(",").map(&:strip).reject(&:empty?) }
              return Core::Declared.states(context, thing, names, ends) if names&.any?

              Core::Declared.unsaid(context, Core::Kinds::STATES, "of", { thing: }, nil)
            end

            def asking(context, thing, text)
              wanted = text.split(";").map(&:strip).reject(&:empty?)
              Core::Declared.of(context.draft, Core::Kinds::ASKING, "store", thing.id)
                .reject { |one| wanted.include?(one["by"]) }.each { |one| context.draft.apply(Basalt::Change::Remove.new(id: one.id)) }
              wanted.each { |facts| Core::Declared.asking(context, thing, facts) }
            end
          end
        end
      end
    end
  end
end
