# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # Which thing can reach which, and why.
      module ReachRoutes
        extend Routing

        SHEET = EditRoutes::SHEET
        REACH = "/projects/:project_id/reach"

        helped_by :Asking

        # What may reach a thing, and what it may reach.
        get("#{SHEET}/reach/:element_id", needs: :see, answers: :part) do
          with_project do |project|
            entries = Presenters::ReachList.new(project.set, sheet(project), element(project.set, params[:element_id]),
                                                params.slice(:port, :sort))
            view(:reach_list, project:, sheet: sheet(project), entries:)
          end
        end

        # Whether one reaches another by a port, and by what.
        get("#{SHEET}/asked/:element_id", needs: :see, answers: :part) do
          with_project { |project| view(:reach_answer, question: reach_question(project.set, element(project.set, params[:element_id]))) }
        end

        get(REACH, needs: :see, answers: :page) do
          with_project { |project| erb(:reach, locals: { project:, page: Presenters::ReachPage.new(project.set) }) }
        end

        get("#{REACH}/asked", needs: :see, answers: :part) do
          with_project { |project| view(:reach_answer, question: reach_question(project.set, params[:from])) }
        end

        get("#{REACH}.csv", needs: :see, answers: :file) do
          with_project { |project| download("reach.csv", "text/csv", Basalt::Cloud::ReachTable.new(project.set).csv) }
        end

        # What would not work any more if a rule went.
        get("#{REACH}/without/:element_id", needs: :see, answers: :part) do
          with_project do |project|
            rule = element(project.set, params[:element_id])
            raise Basalt::Mistake, "Only a rule can go" unless rule.kind == Basalt::Cloud::Kinds::RULE

            view(:reach_without, loss: Presenters::RuleLoss.new(project.set, rule))
          end
        end

        # What the rules allow is drawn, as what they allow.
        post "#{SHEET}/reach-taken/:element_id", needs: :edit, answers: :pieces, makes: "Add, Show" do
          on_sheet(->(_) { "drew what the rules allow" }) do |draft, sheet|
            thing = element(draft, params[:element_id])
            made = params[:others].to_s.split.first(Presenters::ReachList::MOST).filter_map do |other|
              Basalt::Cloud::Taking.new(draft, sheet.id).take(thing.id, other, into: params[:way] == "in")
            end
            Fresh.new(nil, made)
          end
        end

        # A further fact stands in the label of a thing, of all of its service, or of all there are.
        post "#{SHEET}/fact-shown/:element_id", needs: :edit, answers: :pieces, makes: "Set" do
          on_sheet(->(_) {
            "#{params[:on] == "no" ? "left out" : "showed"} #{Basalt::Model::Names.short(params[:fact].to_s)} in labels"
          }) do |draft, sheet|
            shown = Basalt::Cloud::ShownFacts
            whom = shown::WHOM.include?(params[:whom]) ? params[:whom] : "one"
            things = shown.chosen(draft, sheet.id, element(draft, params[:element_id]), whom)
            things.each { |one| draft.apply(shown.showing(one, params[:fact].to_s, params[:on] != "no")) }
            nil
          end
        end

        # A further fact is said of a thing, or taken back where it says nothing.
        post "#{SHEET}/fact-kept/:element_id", needs: :edit, answers: :pieces, makes: "Set" do
          on_sheet(->(draft) {
            "said of #{draft.element(params[:element_id]).name}: #{Basalt::Model::Names.short(params[:name].to_s)}"
          }) do |draft, _|
            thing = element(draft, params[:element_id])
            details = Basalt::Cloud::Details
            facts = details.read(thing["details"]).merge(details.key(params[:name]) => params[:value].to_s)
            draft.apply(Basalt::Change::Set.new(id: thing.id, fact: "details", value: details.write(facts)))
            nil
          end
        end

        # A boundary once more, with all in it.
        post "#{SHEET}/repeated/:element_id", needs: :edit, answers: :pieces, makes: "Duplicate, Add, Set" do
          on_sheet(->(_) { "repeated a boundary with all in it" }) do |draft, sheet|
            boundary = element(draft, params[:element_id])
            repeating = Basalt::Cloud::Repeating.new(boundary.id, sheet.id, outside: params[:outside] == "yes")
            draft.apply(repeating)
            Fresh.new(nil, [repeating.made.fetch(boundary.id)])
          end
        end

        # What the form of a question says.
        module Asking
          def reach_thing(set, name)
            found = set.named(name.to_s.strip).find { |one| [Basalt::Cloud::Kinds::RESOURCE, Basalt::Cloud::Kinds::BOUNDARY].include?(one.kind) }
            found or raise Basalt::Mistake, "Nothing of a cloud is called “#{Basalt::Model::Names.short(name.to_s)}”"
          end

          # @return [Basalt::Cloud::Question, nil] nil as long as one of the two is not named
          # @param from [Basalt::Model::Element, String, nil] a thing, or the name of one
          def reach_question(set, from)
            return if [from, params[:other]].any? { |one| one.to_s.strip.empty? }

            thing, other = [from, params[:other]].map { |one| one.is_a?(Basalt::Model::Element) ? one : reach_thing(set, one) }
            from, to = params[:way] == "to" ? [thing, other] : [other, thing]
            protocol = params[:protocol].to_s
            raise Basalt::Mistake, "A protocol is one of #{Basalt::Cloud::Kinds::PROTOCOLS.join(", ")}" unless Basalt::Cloud::Kinds::PROTOCOLS.include?(protocol)

            Basalt::Cloud::Question.new(set, from.id, to.id, protocol, reach_port(protocol))
          end

          def reach_port(protocol)
            return unless Basalt::Cloud::Reach::Traffic::PORTED.include?(protocol)

            Basalt::Cloud::TrafficText.ports(params[:port].to_s.strip).to_i
          end
        end
      end
    end
  end
end
