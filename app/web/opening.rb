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

    # @yieldparam desk [Store::Desk]
    def at_desk
      Store::Desk.for(id(params[:project_id])).open do |desk|
        @desk = desk
        yield desk
      end
    end

    # @return [Basalt::Model::Sheet]
    def sheet(desk)
      desk.set.sheets[id(params[:sheet_id])] or raise ActiveRecord::RecordNotFound, "no such sheet"
    end

    # @return [Basalt::Model::Element]
    def element(desk, value)
      desk.set.element(id(value)) or raise Basalt::Change::Conflict, "It is no longer there"
    end

    def htmx? = request.env["HTTP_HX_REQUEST"] == "true"

    # An error beside what caused it, or as a page of its own.
    def refuse(message, status_code)
      status status_code
      return body(part("#answer", view(:refused, message:, lines: @groundwork || []))) if htmx?

      content_type :html
      body erb(:refusal, locals: { message:, status_code: }, layout: :layout)
    end
  end
end
