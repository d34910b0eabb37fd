# frozen_string_literal: true

require_relative "app_helper"
require "rack/test"
require "nokogiri"

# For tests that talk to the application through Rack, about one sheet of the sample.
module RequestHelper
  include AppHelper
  include Rack::Test::Methods

  PLANT = "Greyholm plant network"

  def app = @app ||= Web::Application.with(secret: "0" * 64)

  def setup
    super
    @project = demo
    @sheet = sheet_of(@project, PLANT)
    @path = "/projects/#{@project.id}/sheets/#{@sheet.id}"
  end

  def token
    @token ||= begin
      get @path
      last_response.body[/name="token" value="([^"]+)"/, 1]
    end
  end

  def send_act(rest, values = {}) = post("#{@path}/#{rest}", values.merge(token:), "HTTP_HX_REQUEST" => "true")
end
