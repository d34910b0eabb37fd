# frozen_string_literal: true

module Web
  module Families
    module Network
      # The port schedule of a project and of its units, what is printed of it, and the list that is ticked off while cabling.
      module CablingRoutes
        extend Routing

        CABLING = "/projects/:project_id/cabling"

        helped_by :CablingPages

        get(CABLING, needs: :see, answers: :page) do
          with_project { |project| erb(:cabling, locals: { project:, schedule: Presenters::SchedulePage.new(project.set, params[:of]) }) }
        end
        get("#{CABLING}.csv", needs: :see, answers: :file) do
          with_project { |project| download("cabling.csv", "text/csv", Basalt::Network::Cabling::Schedule.new(project.set).csv) }
        end
        get("#{CABLING}/labels", needs: :see, answers: :page) do
          with_project do |project|
            labels = Basalt::Network::Cabling::Schedule.new(project.set).labels
            erb(:cable_labels, locals: { project:, labels: labels.first(Presenters::SchedulePage::MOST * 2) })
          end
        end
        get("#{CABLING}/work", needs: :see, answers: :page) do
          with_project { |project| erb(:cabling_work, locals: { project:, work: Presenters::WorkPage.new(project.set, params[:of]) }) }
        end
        get("#{CABLING}/units/:element_id", needs: :see, answers: :page) do
          with_project do |project|
            unit = cabled_unit(project)
            erb(:unit_ports, locals: { project:, unit: Presenters::UnitPage.new(project.set, unit) })
          end
        end
        get("#{CABLING}/units/:element_id/schedule.csv", needs: :see, answers: :file) do
          with_project do |project|
            unit = cabled_unit(project)
            schedule = Basalt::Network::Cabling::Schedule.new(project.set, unit_id: unit.id)
            download("#{unit.name.gsub(/[^\w.-]+/, "-")}.csv", "text/csv", schedule.csv)
          end
        end

        get("#{CABLING}/rules", needs: :see, answers: :page) do
          with_project do |project|
            rules = Presenters::RulesPage.new(Basalt::Network::Cabling::Rules.of(project.set))
            erb(:cabling_rules, locals: { project:, rules: })
          end
        end
        get("#{CABLING}/rules/sample", needs: :see, answers: :part) do
          with_project { view(:numbering_sample, **numbering_sample(params["numbering"].to_s.strip)) }
        end

        post "#{CABLING}/rules", needs: :edit, answers: :redirect, makes: "Add, Set, SetEnd" do
          with_project do |project|
            project.act(said: "agreed on rules of cabling", by: person) { |draft| agree_on_cabling(draft, params) }
            redirect project_path(project.project_id, "cabling/rules")
          end
        end

        # What a unit found out about its neighbours: what it proves is taken, what contradicts the plan is told.
        post "#{CABLING}/units/:element_id/neighbours", needs: :edit, answers: :page, makes: "Add, SetEnd" do
          upload = Upload.new(params[:file], what: "a table of neighbours", limit: Basalt::Network::Cabling::Neighbours::LIMIT)
          with_project do |project|
            unit = cabled_unit(project)
            table = nil
            project.act(said: "compared #{unit.name} with its neighbours", by: person) do |draft|
              table = Basalt::Network::Cabling::Neighbours.new(draft, draft.element(unit.id), upload.bytes)
              table.rows && table.into(draft)
            end
            erb(:neighbours, locals: { project:, unit:, rows: table.rows })
          end
        end

        # Whoever cables says of each cable that it is laid, or is not after all.
        post "#{CABLING}/laid/:element_id", needs: :edit, answers: :part, makes: "Set" do
          laid = params[:laid] == "yes"
          with_project do |project|
            cable = element(project.set, params[:element_id])
            raise Basalt::Mistake, "Only a cable is laid" unless cable.kind == "link"

            project.act(said: "#{laid ? "ticked off" : "took up again"} #{Acting.title(project.set, cable)}", by: person) do |draft|
              draft.apply(Basalt::Change::Set.new(id: cable.id, fact: "laid", value: laid))
              draft.apply(Basalt::Change::Set.new(id: cable.id, fact: "planned", value: nil)) if laid
            end
            work_left(project)
          end
        end

        # What is cut off when a unit, one member of it, or a cable is lost.
        get("#{CABLING}/lost/:element_id", needs: :see, answers: :part) do
          with_project do |project|
            lost = element(project.set, params[:element_id])
            member = params[:member].to_s.match?(/\A\d{1,2}\z/) ? params[:member].to_i : nil
            ids = Basalt::Network::Cabling::Loss.new(project.set).cut([lost.id], member:)
            view(:lost, ids:, names: ids.map { |id| project.set.element(id).name })
          end
        end

        # What the routes need of the model.
        module CablingPages
          # @return [Basalt::Model::Element]
          def cabled_unit(project)
            unit = element(project.set, params[:element_id])
            unit.kind == "device" ? unit : raise(Refusals::NotFound, "unit")
          end

          def agree_on_cabling(draft, params)
            kind = Basalt::Network::Cabling::Rules::KIND
            rules = Basalt::Network::Cabling::Rules.of(draft) || Basalt::Change::Add.new(kind:, name: kind).apply(draft)
            Presenters::RulesPage.facts.each do |fact|
              value = params[fact].to_s.strip
              draft.apply(Basalt::Change::Set.new(id: rules.id, fact:, value: value.empty? ? nil : value))
            end
          end

          # @return [Hash] what a numbering comes to, or why it is none
          def numbering_sample(pattern)
            pattern = Basalt::Network::Cabling::Numbering::USUAL if pattern.empty?
            numbering = Basalt::Network::Cabling::Numbering.new(Basalt::Network::Cabling::Numbering.checked(pattern))
            { samples: Presenters::RulesPage.samples(numbering), refused: nil }
          rescue Basalt::Mistake => e
            { samples: [], refused: e.message }
          end

          def work_left(project) = part("#work-left", h(Presenters::WorkPage.new(project.set).left))

          # A tick that was kept already is told again.
          def cabling_again(project) = request.path_info.match?(%r{/cabling/laid/}) ? work_left(project) : nil
        end
      end
    end
  end
end
