# frozen_string_literal: true

module Web
  module Families
    module Brief
      # Sources: texts in which phrases are marked, and their versions.
      module SourceRoutes
        extend Routing

        SOURCE = "/projects/:project_id/sources/:source_id"

        helped_by :SourcePages

        get("/projects/:project_id/sources", needs: :see, answers: :page) do
          with_project { |project| erb(:sources, locals: { project:, sources: Presenters::SourceList.of(project.set), today: Date.today.iso8601 }) }
        end

        post "/projects/:project_id/sources", needs: :edit, answers: :redirect, makes: "Add" do
          text = given_text(params)
          with_project do |project|
            id = nil
            keep_words(project, "took in the source #{params[:name]}") do |draft|
              source =
                Basalt::Change::Add.new(
                  kind: "source",
                  name: params[:name].to_s,
                  facts: {
                    "origin" => params[:origin],
                    "dated" => params[:dated],
                    "version" => "1"
                  }
                ).apply(draft)
              id = source.id
              Store::SourceText.keep(project.project_id, id, 1, text, person)
            end
            redirect source_path(id)
          end
        end

        get(SOURCE, needs: :see, answers: :page) do
          with_project { |project| erb(:source, locals: { project:, source: source_page(project) }) }
        end
        get("#{SOURCE}/beside", needs: :see, answers: :part) do
          with_project { |project| view(:source_beside, project:, source: source_page(project, beside: params[:on])) }
        end
        get("#{SOURCE}/proposal", needs: :see, answers: :part) do
          with_project do |project|
            name = Basalt::Brief::Proposal.name(project.set, params[:as].to_s, params[:quote].to_s[0, 2000])
            mark_fields(project, params[:as].to_s, name)
          end
        end

        post "#{SOURCE}/marks", needs: :edit, answers: :part, makes: "Add" do
          with_project do |project|
            source = source(project)
            at, quote = placed(project, source)
            keep_words(project, "marked “#{Basalt::Model::Names.short(quote, 60)}” in #{source.name}") do |draft|
              mark_phrase(draft, source, at, quote)
            end
            after_marking(project, "Marked")
          end
        end

        post "#{SOURCE}/phrases/:phrase_id/:act", needs: :edit, answers: :part, makes: "Set, Remove" do
          with_project do |project|
            phrase = element(project.set, params[:phrase_id])
            raise Refusals::NotFound, "phrase" unless phrase.kind == "phrase" && phrase.owner_id == source(project).id

            said, changes = SourcePages.turned(phrase, params[:act])
            keep_words(project, said) { |draft| draft.apply(changes) }
            after_marking(project)
          end
        end

        post "#{SOURCE}/versions", needs: :edit, answers: :redirect, makes: "Set, Add" do
          text = given_text(params)
          with_project do |project|
            source = source(project)
            before = Store::SourceText.of(project.project_id, source)
            raise Basalt::Mistake, "The text is as it was: it is no new version" if before == text

            if before
              renew(project, source, before, text)
            else
              Store::SourceText.keep(project.project_id, source.id, source["version"] || 1, text, person)
            end
            redirect source_path(source.id)
          end
        end

        post "#{SOURCE}/facts", needs: :edit, answers: :redirect, makes: "Set" do
          with_project do |project|
            source = source(project)
            changes =
              %w[name origin dated].map do |fact|
                Basalt::Change::Set.new(
                  id: source.id,
                  fact:,
                  value: params[fact].to_s.strip.then { |text| text.empty? && fact != "name" ? nil : text }
                )
              end
            project.act(said: "altered what is said of #{source.name}", by: person) { |draft| draft.apply(changes) }
            redirect source_path(source.id)
          end
        end

        post "#{SOURCE}/removed", needs: :edit, answers: :redirect, makes: "Remove" do
          with_project do |project|
            source = source(project)
            project.act(said: "deleted the source #{source.name}", by: person) do |draft|
              draft.apply(Basalt::Change::Remove.new(id: source.id))
            end
            redirect project_path(project.project_id, "sources")
          end
        end

        # What the routes need of sources.
        module SourcePages
          # What was new in the versions that were looked at last.
          FRESH = Recent.new(50)

          def source_path(id, rest = nil) = project_path(params[:project_id], "sources/#{id}#{"/#{rest}" if rest}")

          def source_part_path(id, part) = "#{source_path(id)}?part=#{part}"

          def source(project)
            found = project.set.element(id(params[:source_id]))
            found&.kind == "source" ? found : raise(Refusals::NotFound, "source")
          end

          # The act and the words of a source are kept together, or not at all.
          def keep_words(project, said, &) = ActiveRecord::Base.transaction { project.act(said:, by: person, &) }

          def renew(project, source, before, text)
            keep_words(project, "took in a new version of #{source.name}") do |draft|
              draft.apply(Basalt::Brief::Revising.changes(draft, source, before, text))
              Store::SourceText.keep(project.project_id, source.id, (source["version"] || 1) + 1, text, person)
            end
          end

          # @return [String] as typed or as a file
          def given_text(params)
            file = Upload.file?(params[:file]) && Upload.new(params[:file], limit: Basalt::Statements::Document::LIMIT)
            bytes = file ? file.bytes : params[:text].to_s
            if bytes.bytesize > Store::SourceText::LIMIT
              raise Basalt::Mistake, "The text is larger than #{Store::SourceText::LIMIT / 1_000_000} MB; take it in in parts"
            end

            text = Basalt::Formats::PlainText.read(bytes)
            raise Basalt::Mistake, "There is no text in it" if text.strip.empty?

            text
          end

          def mark_fields(project, noun, name = nil) = view(:mark_fields, fields: Presenters::MarkFields.new(project.set, noun, name))

          # @return [String] attributes of a button that does something with a phrase
          def turns(source, phrase, act)
            vals = JSON.generate({ token:, **source.place })
            "hx-post=\"#{source_path(source.id, "phrases/#{phrase.id}/#{act}")}\" hx-vals=\"#{h vals}\" hx-swap=\"none\""
          end

          # @param beside [String, nil] id of the sheet that stands beside it
          def source_page(project, beside: nil)
            source = source(project)
            text = Store::SourceText.of(project.project_id, source).to_s
            phrases = Basalt::Brief::Marking.phrases(project.set, source.id)
            shown = Basalt::Brief::SourceView.new(text, phrases, fresh: fresh_lines(project, source, text))
            part = params[:part].to_i.clamp(0, shown.parts.length - 1)
            Presenters::SourcePage.new(project.set, source, phrases, shown, part, beside)
          end

          # @return [Array<Range>] what is new since the version before
          def fresh_lines(project, source, text)
            version = source["version"] || 1
            return [] if version < 2

            FRESH.fetch([project.project_id, source.id, version]) do
              before = Store::SourceText.find_by(project_id: project.project_id, source_id: source.id, version: version - 1)&.content
              before ? Basalt::Brief::Anchoring.new(before, text).fresh : []
            end
          end

          # @return [Array(Integer, String)] where the phrase stands, and its words
          def placed(project, source)
            quote = params[:quote].to_s.strip
            raise Basalt::Mistake, "Select a phrase in the text first, or type one that stands there" if quote.empty?
            raise Basalt::Mistake, "A phrase has 2,000 characters at most; select less" if quote.length > 2000

            text = Store::SourceText.of(project.project_id, source).to_s
            at = Basalt::Brief::Words.find(text, quote, params[:at].to_s.match?(/\A\d{1,9}\z/) ? params[:at].to_i : nil)
            raise Basalt::Mistake, "“#{Basalt::Model::Names.short(quote)}” does not stand in the text" unless at

            [at, quote]
          end

          def mark_phrase(draft, source, at, quote)
            thing = params[:thing].to_s.empty? ? made(draft, source, quote) : SourcePages.known(draft, params[:thing].to_s)
            note = params[:as] == Basalt::Brief::Marking::REMARK ? params[:note].to_s : nil
            raise Basalt::Mistake, "A remark says something" if note && note.strip.empty?

            noun = thing ? thing.noun : params[:as].to_s
            Basalt::Brief::Marking.mark(draft, source, quote:, place: at, noun:, things: [thing].compact, note:)
            show_beside(draft, thing)
          end

          def made(draft, source, quote)
            Basalt::Brief::Proposal.make(draft, params[:as].to_s, params[:name].to_s, quote, of_id: beside_id(draft), source: source.name)
          end

          def beside_id(draft)
            kinds = Basalt::Brief::Proposal.beside(params[:as].to_s)
            return if kinds.nil? || params[:of].to_s.empty?

            found = draft.named(params[:of].to_s.strip).select { |one| kinds.include?(one.kind) }
            if found.empty?
              raise Basalt::Mistake, "Nothing is called “#{Basalt::Model::Names.short(params[:of])}” that it could belong to"
            end

            found.first.id
          end

          # With a sheet beside it, what was made stands there too.
          def show_beside(draft, thing)
            sheet = params[:on].to_s.match?(Lookup::ID) && draft.sheets[params[:on]]
            return unless sheet && thing && !thing.relation? && sheet.notation.draws?(thing)

            Basalt::Change::Show.new(sheet_id: sheet.id, element_id: thing.id).apply(draft)
          end

          # What was marked already is told again.
          def source_again(project) = params[:source_id] && htmx? ? after_marking(project) : nil

          def after_marking(project, done = "Done")
            return redirect(source_part_path(source(project).id, params[:part].to_i)) unless htmx?

            place, page = params[:on].to_s.empty? ? ["#source", :source_body] : ["#beside", :source_beside]
            part(place, view(page, project:, source: source_page(project, beside: params[:on]))) +
              part("#answer", "<p class=\"done\" role=\"status\">#{h(done)}</p>") + sheet_part(project)
          end

          def sheet_part(project)
            sheet = params[:on].to_s.match?(Lookup::ID) && project.set.sheets[params[:on]] or return ""
            part("#pieces", whole(project, sheet)) + part("#findings-later", view(:findings_later, sheet:))
          end

          class << self
            # @return [Basalt::Model::Element] the one that a phrase is tied to, by its name
            def known(set, name)
              found = set.named(name.strip).reject { |one| %w[phrase source].include?(one.kind) }
              raise Basalt::Mistake, "Nothing is called “#{Basalt::Model::Names.short(name)}”" if found.empty?

              found.find { |one| !one.relation? && one.owner_id.nil? } || found.first
            end

            # @return [Array(String, Array)] what is done with a phrase in words, and the changes
            def turned(phrase, act)
              title = "“#{Basalt::Model::Names.short(phrase["quote"].to_s, 60)}”"
              case act
              when "struck"
                ["struck the mark at #{title}", [Basalt::Change::Remove.new(id: phrase.id)]]
              when "accepted"
                ["accepted the new words for #{title}", Basalt::Brief::Revising.accepting(phrase)]
              else
                raise Refusals::NotFound, "act"
              end
            end
          end
        end
      end
    end
  end
end
