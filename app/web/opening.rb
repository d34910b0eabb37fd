# frozen_string_literal: true

module Web
  # Finding what an address means, always through its project.
  module Opening
    ID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/

    # Until there are accounts, everybody is the analyst.
    def person = "analyst"

    def id(value)
      value.to_s.match?(ID) ? value : raise(ActiveRecord::RecordNotFound, "no such id")
    end

    # @yieldparam desk [Store::ProjectSession]
    def at_desk
      @asked = Store::Request.new(act_id)
      Store::ProjectSession.for(id(params[:project_id])).open(request: @asked) do |desk|
        @desk = desk
        once(desk) { yield(desk) }
      end
    end

    # What was done already is answered again, also when it was asked for twice at the same time.
    def once(desk)
      entry = Store::JournalEntry.asked_for(desk.project_id, act_id)
      entry ? answer_again(desk, entry) : yield
    rescue Store::Repository::Repeated
      answer_again(desk, Store::JournalEntry.asked_for(desk.project_id, act_id))
    end

    # @return [String, nil] the page's own id for what it asks for
    def act_id
      given = request.post? ? request.env["HTTP_X_ACT"] : nil
      given if given&.match?(ID)
    end

    # @return [Basalt::Model::Sheet]
    def sheet(desk)
      desk.set.sheets[id(params[:sheet_id])] or raise ActiveRecord::RecordNotFound, "no such sheet"
    end

    # An act may come too late for what it is about; a page of what is not there is not found.
    #
    # @return [Basalt::Model::Element]
    def element(desk, value)
      desk.set.element(id(value)) or raise request.post? ? Basalt::Change::Conflict : ActiveRecord::RecordNotFound, "It is no longer there"
    end

    # What went wrong after something was kept is no reason to say that nothing was.
    def failed(message)
      refuse(@asked&.kept ? "It was kept, but could not be shown. Load the page again to see it." : message, 500)
    end

    def htmx? = request.env["HTTP_HX_REQUEST"] == "true"

    # An error beside what caused it, or as a page of its own.
    def refuse(message, status_code)
      status status_code
      headers "X-Kept" => "yes" if @asked&.kept
      return body(part("#answer", view(:refused, message:, lines: @missing_declarations || []))) if htmx?

      content_type :html
      body erb(:refusal, locals: { message:, status_code: }, layout: :layout)
    end
  end
end
