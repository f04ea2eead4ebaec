# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Shelf do
  before { empty_database }

  let!(:book) { kept_book }

  def shelf = ask("/api/books").then { answer.map { |entry| entry["id"] } }

  def bin = ask("/api/bin").then { answer.map { |entry| entry["id"] } }

  it "lists books with their sheets, and when each was opened and changed" do
    ask("/api/books")
    expect(answer).to match(
      [
        a_hash_including(
          "id" => book.id,
          "title" => "Test moss",
          "sheets" => book.index.cells.count,
          "opened_at" => nil,
          "changed_at" => match(/\A\d{4}-\d\d-\d\dT[\d:]+Z\z/)
        )
      ]
    )
    changed = answer.first["changed_at"]
    ask("/api/books/#{book.id}")
    ask("/api/books")
    expect(Time.iso8601(answer.first["opened_at"])).to be_within(60).of(Time.now)
    # To open a book is no change of it.
    expect(answer.first["changed_at"]).to eq(changed)
    App::Book.where(id: book.id).update_all(updated_at: Time.now.utc - 3600)
    send_json(:patch, "/api/books/#{book.id}", {patch: {"title" => "Other"}, label: "Title"})
    ask("/api/books")
    expect(Time.iso8601(answer.first["changed_at"])).to be_within(60).of(Time.now)
  end

  it "shows a book whose row a change holds at that moment without waiting, and one that can only be read" do
    held = Queue.new
    done = Queue.new
    holder =
      Thread.new do
        App::Book.transaction do
          App::Book.lock.find(book.id)
          held << true
          done.pop
        end
      end
    held.pop
    ask("/api/books/#{book.id}")
    expect([last_response.status, book.reload.opened_at]).to eq([200, nil])
    done << true
    holder.join
    allow(App::Book).to receive(:transaction).and_raise(ActiveRecord::StatementInvalid, "The table 'books' is full")
    expect { ask("/api/books/#{book.id}") }.to output(/could not be noted/).to_stderr
    expect(last_response.status).to eq(200)
  end

  it "takes a deleted book off the shelf, and puts it back as it was" do
    ask("/api/books/#{book.id}")
    before = answer
    send_json(:delete, "/api/books/#{book.id}", {})
    expect([answer, shelf, bin]).to eq([[], [], [book.id]])
    expect(Time.iso8601(answer.first["ends_at"])).to be_within(60).of(Time.now + 30 * 86_400)
    %w[books/%s books/%s/revision books/%s/sheets/1.svg].each do |path|
      ask("/api/#{format(path, book.id)}")
      expect(last_response.status).to eq(404)
    end
    send_json(:patch, "/api/books/#{book.id}", {patch: {"title" => "Gone"}, label: "Title"})
    expect(last_response.status).to eq(404)
    send_json(:post, "/api/bin/#{book.id}/restore", {})
    expect([shelf, bin]).to eq([[book.id], []])
    ask("/api/books/#{book.id}")
    expect(answer).to eq(before)
  end

  it "leaves a book on the shelf on which work is under way, and says so" do
    run = App::PressOrder.new(book).place
    send_json(:delete, "/api/books/#{book.id}", {})
    expect([last_response.status, answer["message"]]).to match([422, /“Test moss” still has work under way: an export/])
    run.finish("cancelled", reason: "Stopped.")
    send_json(:delete, "/api/books/#{book.id}", {})
    expect([last_response.status, bin]).to eq([200, [book.id]])
  end

  it "deletes a book for good where it is asked to, with all that belonged to it and nothing else" do
    other = kept_book
    send_json(:delete, "/api/bin/#{book.id}", {})
    expect(last_response.status).to eq(404)
    send_json(:delete, "/api/books/#{book.id}", {})
    send_json(:delete, "/api/bin/#{book.id}", {})
    expect([last_response.status, answer]).to eq([200, []])
    send_json(:post, "/api/bin/#{book.id}/restore", {})
    expect(last_response.status).to eq(404)
    Delayed::Worker.new(quiet: true).work_off
    expect(App::Book.pluck(:id)).to eq([other.id])
    expect([App::Layer, App::FeatureBatch, App::Edit].map { |rows| rows.count }).to eq(
      [other.layer_rows.count, App::FeatureBatch.where(layer_id: other.layer_rows).count, other.edits.count]
    )
  end

  it "empties the bin of books whose days are over" do
    stub_const("ENV", ENV.to_h.merge("KEEP_BIN_DAYS" => "7"))
    late = kept_book
    App::Book.where(id: book.id).update_all(binned_at: Time.now.utc - 7.1 * 86_400)
    App::Book.where(id: late.id).update_all(binned_at: Time.now.utc - 6.9 * 86_400)
    expect(bin).to eq([late.id])
    expect(App::Sweep.new.run).to include("1 book: deleted for good after 7 days in the bin.")
    expect(App::Book.pluck(:id)).to eq([late.id])
  end
end
