# frozen_string_literal: true

require_relative "../support/request_helper"

# Any link of any page leads somewhere: every address that pages name is asked for.
class CrawlTest < Minitest::Test
  include RequestHelper

  # Of what differs in numbers alone, so many are looked at.
  ALIKE = 3
  ID = /\h{8}-\h{4}-\h{4}-\h{4}-\h{12}/
  # Pictures and papers are drawn in other tests.
  HEAVY = /export\.(png|jpg|pdf)/

  def long_source
    source = model_of(@project).of_kind("source").first
    Store::SourceText.keep(@project.id, source.id, source["version"] || 1, "A resident looks up the street.\n" * 12_000, "test")
  end

  def links(body)
    page = Nokogiri.HTML(body)
    named =
      page
        .css("a[href], link[href], script[src], img[src], form:not([method=post])[action], [hx-get]")
        .flat_map { |one| [one["href"], one["src"], one["hx-get"], (one["action"] unless one["method"] == "post")] }
    sheet = page.at_css("#sheet-page")&.[]("data-sheet")
    tables = sheet ? page.css("#tabs [data-path]").map { |one| "#{sheet}/#{one["data-path"]}" } : []
    (named + tables + page.css("[data-beside]").map { |one| "#{one["data-beside"]}/beside" }).compact
  end

  def test_every_link_answers
    long_source
    waiting = ["/projects", "/projects/#{@project.id}"]
    seen = Hash.new(0)
    bad = []
    asked = 0
    until waiting.empty?
      address = waiting.shift.sub(/#.*/, "")
      shape = address.gsub(ID, "ID").gsub(/\d+/, "N")
      if address.empty? || address.start_with?("http", "data:") || address.match?(HEAVY) || (seen[shape] += 1) > ALIKE ||
         seen.key?([address])
        next
      end

      seen[[address]] = 1
      asked += 1
      get address
      bad << [address, last_response.status] if last_response.status >= 400
      waiting.concat(links(last_response.body)) if last_response.content_type.to_s.start_with?("text/html")
    end
    assert_empty bad
    assert_operator asked, :>, 60
  end
end
