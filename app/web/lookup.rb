# frozen_string_literal: true

module Web
  # Finding what an address means, always through its project.
  module Lookup
    ID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/

    # Until there are accounts, everybody is the analyst, and everything is theirs.
    def person = "analyst"

    # @param need [Symbol] one of Route::NEEDS
    def may?(need) = Route::NEEDS.include?(need)

    def id(value)
      value.to_s.match?(ID) ? value : raise(Refusals::NotFound, "id")
    end

    # @yieldparam project [Store::ProjectSession]
    def with_project
      Store::ProjectSession.for(id(params[:project_id])).open(request: asked) do |project|
        note_occurrence(project.set)
        once(project) { yield(project) }
      end
    end

    # Work for which nobody waits: done when the answer is sent, where the server can do that.
    def afterwards(&work) = env["rack.after_reply"]&.push(work)

    # A drawing knows a thing that stands there once more by that occurrence; everything else knows the element.
    def note_occurrence(set)
      request.env["basalt.occurrences"] = %i[element_id selected].each_with_object({}) do |name, found|
        placed = params[name].to_s.match?(ID) && set.placements[params[name]] or next
        params[name] = placed.element_id
        found[placed.element_id] = placed.id
      end
    end

    # @return [Basalt::Model::Placement, nil] the occurrence of an element that is meant
    def occurrence(set, sheet, element) = set.placement(sheet.id, (request.env["basalt.occurrences"] || {}).fetch(element.id, element.id))

    # What was done already is answered again, also when it was asked for twice at the same time.
    def once(project)
      entry = Store::JournalEntry.asked_for(project.project_id, act_id)
      entry ? answer_again(project, entry) : yield
    rescue Store::Repository::Repeated
      answer_again(project, Store::JournalEntry.asked_for(project.project_id, act_id))
    end

    # @return [Store::Request] what the page asks for
    def asked = request.env["basalt.asked"] ||= Store::Request.new(act_id)

    # @return [String, nil] the page's own id for what it asks for
    def act_id
      given = request.post? ? request.env["HTTP_X_ACT"] : nil
      given if given&.match?(ID)
    end

    # @return [Basalt::Model::Sheet]
    def sheet(project)
      project.set.sheets[id(params[:sheet_id])] or raise Refusals::NotFound, "sheet"
    end

    # An act may come too late for what it is about; a page of what is not there is not found.
    #
    # @return [Basalt::Model::Element]
    def element(set, value)
      set.element_at(id(value)) or raise request.post? ? Basalt::Refusals::Gone.new("It") : Refusals::NotFound.new("element")
    end

    # What went wrong after something was kept is no reason to say that nothing was.
    def failed(message)
      refuse(asked.kept ? "It was kept, but could not be shown. Load the page again to see it." : message, 500)
    end

    def htmx? = request.env["HTTP_HX_REQUEST"] == "true"

    # Lines that would declare what a statement spoke of and nobody knows.
    def missing_lines = request.env["sinatra.error"].then { |error| error.is_a?(Undeclared) ? error.lines : [] }

    # An error beside what caused it, or as a page of its own.
    def refuse(message, status_code)
      status status_code
      headers "X-Kept" => "yes" if asked.kept
      return body(part("#answer", view(:refused, message:, lines: missing_lines))) if htmx?

      content_type :html
      body erb(:refusal, locals: { message:, status_code: }, layout: :layout)
    end
  end
end
