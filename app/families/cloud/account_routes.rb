# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # An account that exists: its inventory comes in, is compared, and goes out again.
      module AccountRoutes
        extend Routing

        ACCOUNTS = "/projects/:project_id/cloud-accounts"

        helped_by :Accounts

        # An inventory is looked at before anything is kept of it.
        post ACCOUNTS, needs: :edit, answers: :redirect, makes: "an intake" do
          with_project do |project|
            upload = Upload.new(params[:file], what: "an inventory, or a service template", limit: Basalt::Cloud::Inventory::Reader::LIMIT)
            AccountFile.read(upload.name, upload.bytes)
            intake = Store::Intake.create!(id: SecureRandom.uuid, project_id: project.project_id, content: upload.bytes,
                                           file_name: upload.name)
            redirect project_path(project.project_id, "cloud-accounts/#{intake.id}")
          end
        end

        # An account is read at its provider; key and secret are used for that and kept nowhere.
        post "#{ACCOUNTS}/pulls", needs: :edit, answers: :redirect, makes: "a pull" do
          with_project do |project|
            endpoint = Endpoints.check(params[:endpoint])
            raise Basalt::Mistake, "Say key and secret" if [params[:key], params[:secret]].any? { |one| one.to_s.empty? }

            task = PullWork.begin(project.project_id, endpoint, params[:key].to_s, params[:secret].to_s, by: person)
            redirect project_path(project.project_id, "cloud-accounts/pulls/#{task.id}")
          end
        end

        get "#{ACCOUNTS}/pulls/:task_id", needs: :see, answers: :page do
          with_project do |project|
            pull = Presenters::PullState.new(account_pull)
            halt redirect(project_path(project.project_id, "cloud-accounts/#{pull.intake_id}")) if pull.intake_id

            erb(:pull, locals: { project:, pull: })
          end
        end

        get "#{ACCOUNTS}/pulls/:task_id/progress", needs: :see, answers: :part do
          with_project { |project| view(:pull_state, project:, pull: Presenters::PullState.new(account_pull)) }
        end

        post "#{ACCOUNTS}/pulls/:task_id/cancel", needs: :edit, answers: :redirect, makes: "a pull that stops" do
          account_pull.cancel
          redirect project_path(params[:project_id], "cloud-accounts/pulls/#{params[:task_id]}")
        end

        get "#{ACCOUNTS}/:intake_id", needs: :see, answers: :page do
          with_project do |project|
            intake = account_intake
            page = Presenters::AccountPage.new(project.set, intake, intake.task("cloud-account"))
            erb(page.begun? ? :account_progress : :account, locals: { project:, intake:, account: page })
          end
        end

        post "#{ACCOUNTS}/:intake_id/take", needs: :edit, answers: :redirect, makes: "Add, Set, Rejoin, Remove" do
          with_project do |project|
            intake = account_intake
            unless intake.task("cloud-account")
              Store::Task.give(project.project_id, "cloud-account", { intake_id: intake.id, sheet: params[:sheet] == "yes" }, by: person)
            end
            redirect project_path(project.project_id, "cloud-accounts/#{intake.id}")
          end
        end

        get "#{ACCOUNTS}/:intake_id/progress", needs: :see, answers: :part do
          with_project do |project|
            intake = account_intake
            view(:account_state, project:, intake:, account: Presenters::AccountPage.new(project.set, intake, intake.task("cloud-account")))
          end
        end

        post "#{ACCOUNTS}/:intake_id/cancel", needs: :edit, answers: :redirect, makes: "an intake that stops" do
          account_intake.task("cloud-account")&.cancel
          redirect project_path(params[:project_id], "cloud-accounts/#{params[:intake_id]}")
        end

        get "/projects/:project_id/cloud-inventory.json", needs: :see, answers: :file do
          with_project do |project|
            name = "#{Drawings::FileName.plain(project.name)}-inventory.json"
            account = { "id" => project.project_id, "name" => project.name }
            download(name, "application/json", Basalt::Cloud::Inventory::Writer.new(project.set, account).json)
          end
        end

        get "/projects/:project_id/cloud-resources.csv", needs: :see, answers: :file do
          with_project { |project| download("resources.csv", "text/csv", Basalt::Cloud::ResourceTable.new(project.set).csv) }
        end

        get "/projects/:project_id/cloud-tosca.yaml", needs: :see, answers: :file do
          with_project do |project|
            name = "#{Drawings::FileName.plain(project.name)}-tosca.yaml"
            download(name, "application/yaml", Basalt::Cloud::Tosca::Writer.new(project.set, project.name).yaml)
          end
        end

        # What an address names.
        module Accounts
          def account_pull
            found = Store::Task.find_by(id: id(params[:task_id]), project_id: id(params[:project_id]), kind: PullWork::KIND)
            found || raise(Refusals::NotFound, "pull")
          end

          def account_intake =
            Store::Intake.find_by(id: id(params[:intake_id]), project_id: id(params[:project_id])) || raise(Refusals::NotFound, "intake")
        end
      end
    end
  end
end
