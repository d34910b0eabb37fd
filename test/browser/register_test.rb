# frozen_string_literal: true

require_relative "../support/browser_helper"

# The register, worked in like a spreadsheet.
class RegisterTest < Minitest::Test
  include BrowserHelper

  def setup
    super
    @project =
      project(
        "project P\nsheet S: logical network\nsite Greyholm\nsubnet Plant 10.1.0.0/24\nrouter edge-01\nserver s1\nserver s2\nserver " \
        "s10\ns1 on Plant at .20\ns2 on Plant"
      )
    open_sheet(@project, "S")
    click_button "Devices"
    assert_css "#table td", text: "edge-01"
  end

  def set = model_of(@project)
  def named(name) = set.named(name).first
  def cell(row, key) = find("#table tr[data-row='#{named(row).id}'] td[data-key='#{key}']")
  def focused = page.evaluate_script("document.activeElement.dataset.key + ' ' + document.activeElement.textContent")

  def paste(text)
    page.execute_script(<<~JS, text)
      const held = new DataTransfer();
      held.setData('text/plain', arguments[0]);
      document.activeElement.dispatchEvent(new ClipboardEvent('paste', {clipboardData: held, bubbles: true, cancelable: true}));
    JS
  end

  def test_cells_are_walked_typed_over_and_edited
    cell("s1", "name").click
    assert_css "#facts h2", text: "s1"
    page.active_element.send_keys(:down, "web-01", :enter)
    assert_css "#layer-things > g", text: "web-01"
    assert_equal "name s10", focused
    page.active_element.send_keys(:up, :f2, "b", :tab)
    assert_css "#layer-things > g", text: "web-01b"
    assert_match(/\Arole/, focused)
    page.active_element.send_keys("stor", :enter)
    assert_css "#layer-things > g", text: "storage"
    assert_equal "storage", named("web-01b")["role"]
  end

  def test_a_bad_cell_keeps_what_was_typed_says_why_and_is_mended
    click_button "Addresses"
    assert_css "#table td", text: "10.1.0.20"
    line = set.relations_of(named("s2").id).first
    find("#table tr[data-row='#{line.id}'] td[data-key='address']").click
    page.active_element.send_keys("10.1.0.999", :enter)
    assert_css "#table td.refused", text: "10.1.0.999"
    assert_match(/not an address/, find("#table td.refused")["aria-description"])
    find("#table td.refused").click
    page.active_element.send_keys(".21", :enter)
    assert_css "#table tr td", text: "10.1.0.21"
    assert_no_css "#table td.refused"
  end

  def test_rows_are_pasted_in_one_step_and_bad_cells_do_not_block_the_others
    find("#table tr.new td[data-key='name']").click
    paste("db-01\tserver\tno\tbehind\tGreyholm\ndb-02\twombat\t\t\t\ndb-03\tstorage\t\t\tNowhere\n")
    assert_css "#layer-things > g", text: "db-01"
    assert_css "#layer-things > g", text: "db-03"
    assert_css "#table td.refused", text: "Nowhere"
    assert_equal %w[Greyholm behind], [set.element(named("db-01").container_id).name, named("db-01")["note"]]
    find("#viewport").click
    page.send_keys([:control, "z"])
    assert_no_css "#layer-things > g", text: "db-0"
  end

  def test_ranges_are_filled_down_cleared_and_copied
    cell("s1", "note").click
    page.active_element.send_keys("spare", :enter)
    assert_css "#table td", text: "spare"
    cell("s1", "note").click
    page.active_element.send_keys(%i[shift down], [:control, "d"])
    assert_css "#history button[title*='set 1 cell']"
    assert_equal(%w[spare spare], %w[s1 s2].map { |name| named(name)["note"] })
    cell("s1", "note").click
    page.active_element.send_keys(%i[shift down], :delete)
    assert_no_css "#table td", text: "spare"
  end

  def test_a_relation_is_made_in_a_new_row_once_both_ends_are_known
    click_button "Links"
    find("#table tr.new td[data-key='end one']").click
    page.active_element.send_keys("edge-01", :enter)
    assert_css "#table td.refused[title='waits for other']", text: "edge-01"
    find("#table tr:has(td.refused) td[data-key='end other']").click
    page.active_element.send_keys("s10", :enter)
    assert_no_css "#table td.refused"
    assert_css "#layer-lines > g", minimum: 3, visible: :all
    assert_equal %w[link], set.relations_of(named("s10").id).map(&:kind)
  end

  def test_rows_are_sorted_filtered_and_columns_chosen
    find("th[data-key='name'] .sort").click
    assert_css "th[data-key='name'][aria-sort='ascending']"
    assert_equal %w[edge-01 s1 s2 s10], all("#table tbody tr[data-element] td[data-key='name']").map(&:text)
    fill_in "filter", with: "s1"
    assert_css "#table tbody tr[data-element]", count: 2
    find("#columns summary").click
    uncheck "note"
    assert_no_css "#table th[data-key='note']"
    check "note"
    assert_css "#table th[data-key='note']"
  end
end
